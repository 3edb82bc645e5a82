# A layer is a static library whose headers are found as "LAYER/name.h" by those who link it and by
# nobody else: the include folder of each layer holds a link to that layer alone, so an include that
# breaks the order of layers does not compile.
function(glumet_layer layer)
  cmake_parse_arguments(ARG "" "" "USES" ${ARGN})
  set(view ${CMAKE_BINARY_DIR}/layers/${layer})
  file(MAKE_DIRECTORY ${view})
  file(CREATE_LINK ${CMAKE_CURRENT_SOURCE_DIR}/${layer} ${view}/${layer} SYMBOLIC)
  file(GLOB sources CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/${layer}/*.cpp
       ${CMAKE_CURRENT_SOURCE_DIR}/${layer}/*.h ${CMAKE_CURRENT_SOURCE_DIR}/${layer}/*/*.cpp
       ${CMAKE_CURRENT_SOURCE_DIR}/${layer}/*/*.h)
  add_library(glumet_${layer} STATIC ${sources})
  target_include_directories(glumet_${layer} PUBLIC ${view})
  target_link_libraries(glumet_${layer} PUBLIC ${ARG_USES})
endfunction()
