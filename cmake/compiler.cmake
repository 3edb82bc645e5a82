# Warnings are errors; ccache and lld are used when the machine has them.
add_compile_options(-Wall -Wextra -Wpedantic -Wshadow -Wconversion -Wno-sign-conversion -Werror)
add_compile_definitions(QT_NO_CAST_FROM_ASCII QT_NO_CAST_TO_ASCII QT_DISABLE_DEPRECATED_BEFORE=0x060400)

find_program(GLUMET_CCACHE ccache)
if(GLUMET_CCACHE)
  set(CMAKE_CXX_COMPILER_LAUNCHER ${GLUMET_CCACHE})
endif()

find_program(GLUMET_LLD ld.lld)
if(GLUMET_LLD)
  add_link_options(-fuse-ld=lld)
endif()

if(GLUMET_SANITIZE)
  add_compile_options(-fsanitize=address,undefined -fno-sanitize=vptr -fno-omit-frame-pointer)
  add_link_options(-fsanitize=address,undefined)
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
