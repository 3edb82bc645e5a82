# Most of the program waits for its user: -O2. The rooms that are waited for ask for -O3 (src/CMakeLists.txt).
set(CMAKE_CXX_FLAGS_RELEASE "-O2 -DNDEBUG")

# Warnings are errors; ccache and lld are used when the machine has them.
add_compile_options(-Wall -Wextra -Wpedantic -Wshadow -Wconversion -Wno-sign-conversion -Werror)
add_compile_definitions(QT_NO_CAST_FROM_ASCII QT_NO_CAST_TO_ASCII QT_DISABLE_DEPRECATED_BEFORE=0x060400)

# ccache keeps what was compiled upon precompiled headers only when told not to mind when they were written.
find_program(GLUMET_CCACHE ccache)
if(GLUMET_CCACHE)
  set(CMAKE_CXX_COMPILER_LAUNCHER ${CMAKE_COMMAND} -E env
      CCACHE_SLOPPINESS=pch_defines,time_macros,include_file_mtime,include_file_ctime ${GLUMET_CCACHE})
  if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
    add_compile_options(-fpch-preprocess)
  endif()
endif()

# gcc collects its garbage less often where there is memory for it: a tenth of its time.
if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
  add_compile_options(--param ggc-min-heapsize=1000000)
endif()

find_program(GLUMET_LLD ld.lld)
if(GLUMET_LLD)
  add_link_options(-fuse-ld=lld)
endif()

if(GLUMET_SANITIZE)
  add_compile_options(-fsanitize=${GLUMET_SANITIZE} -fno-omit-frame-pointer)
  add_link_options(-fsanitize=${GLUMET_SANITIZE})
  # The runtime within the program: tests preload libraries of their own before it. Clang does so anyhow.
  if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU" AND NOT GLUMET_SANITIZE STREQUAL "undefined")
    string(SUBSTRING ${GLUMET_SANITIZE} 0 1 initial)
    add_link_options(-static-lib${initial}san)
  endif()
endif()
if(GLUMET_SANITIZE STREQUAL "undefined")
  add_compile_options(-fno-sanitize=vptr -fno-sanitize-recover)
endif()
if(GLUMET_COVERAGE)
  add_compile_options(--coverage)
  add_link_options(--coverage)
endif()
if(GLUMET_FUZZ)
  add_compile_options(-fsanitize=fuzzer-no-link,address,undefined)
  add_link_options(-fsanitize=address,undefined)
endif()
# Only libraries that are used are loaded: the window's start counts every one.
add_link_options(-Wl,--as-needed)
