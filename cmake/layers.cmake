# A layer is a static library whose headers are found as "LAYER/name.h" by those who link it and by
# nobody else: the include folder of each layer holds a link to that layer alone, so an include that
# breaks the order of layers does not compile.
#
# BATCH n: n of its .cpp compile as one unit, since most of a unit's time goes into headers and templates that its
# neighbours want too. -DGLUMET_BATCHES=OFF compiles each by itself.
option(GLUMET_BATCHES "Compile several .cpp of a target as one unit" ON)

function(glumet_layer layer)
  glumet_library(${layer} ${layer} ${ARGN})
endfunction()

# A room of the core is the same one folder down: "core/ROOM/name.h".
function(glumet_room room)
  glumet_library(core_${room} core/${room} PRECOMPILED core ${ARGN})
  set_target_properties(glumet_core_${room} PROPERTIES AUTOMOC OFF AUTOUIC OFF)
endfunction()

function(glumet_library name folder)
  cmake_parse_arguments(ARG "" "BATCH;PRECOMPILED" "USES;OPTIONS" ${ARGN})
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
  target_compile_options(glumet_${name} PRIVATE ${ARG_OPTIONS})
  glumet_in_batches(glumet_${name} ${ARG_BATCH})
  glumet_compile_upon(${ARG_PRECOMPILED} glumet_${name})
endfunction()

function(glumet_in_batches target size)
  if(GLUMET_BATCHES)
    set_target_properties(${target} PROPERTIES UNITY_BUILD ON UNITY_BUILD_BATCH_SIZE ${size})
    # gcc takes what a batch includes for headers, in which types without a name outside would be a fault.
    target_compile_options(${target} PRIVATE $<$<CXX_COMPILER_ID:GNU>:-Wno-subobject-linkage>)
  endif()
endfunction()
