# A layer is a static library whose headers are found as "LAYER/name.h" by those who link it and by
# nobody else: the include folder of each layer holds a link to that layer alone, so an include that
# breaks the order of layers does not compile.
function(glumet_layer layer)
  glumet_library(${layer} ${layer} ${ARGN})
endfunction()

# A room of the core is the same one folder down: "core/ROOM/name.h".
function(glumet_room room)
  glumet_library(core_${room} core/${room} ${ARGN})
  set_target_properties(glumet_core_${room} PROPERTIES AUTOMOC OFF AUTOUIC OFF)
endfunction()

function(glumet_library name folder)
  cmake_parse_arguments(ARG "" "" "USES" ${ARGN})
  set(view ${CMAKE_BINARY_DIR}/layers/${name})
  get_filename_component(parent ${view}/${folder} DIRECTORY)
  file(MAKE_DIRECTORY ${parent})
  file(CREATE_LINK ${CMAKE_CURRENT_SOURCE_DIR}/${folder} ${view}/${folder} SYMBOLIC)
  file(GLOB sources CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/${folder}/*.cpp
       ${CMAKE_CURRENT_SOURCE_DIR}/${folder}/*.h ${CMAKE_CURRENT_SOURCE_DIR}/${folder}/*/*.cpp
       ${CMAKE_CURRENT_SOURCE_DIR}/${folder}/*/*.h)
  add_library(glumet_${name} STATIC ${sources})
  target_include_directories(glumet_${name} PUBLIC ${view})
  target_link_libraries(glumet_${name} PUBLIC ${ARG_USES})
endfunction()
