# What nearly every unit parses, parsed once: a target that names a set with PRECOMPILED compiles upon it. A set
# holds headers of others' alone, so a change of ours never makes it anew, and no more of Qt than its layers may use.
option(GLUMET_PRECOMPILED "Compile upon precompiled headers" ON)

function(glumet_precompiled set)
  cmake_parse_arguments(ARG "" "" "USES;HEADERS" ${ARGN})
  set(unit ${CMAKE_BINARY_DIR}/precompiled/${set}.cpp)
  file(CONFIGURE OUTPUT ${unit} CONTENT "// Holds the precompiled headers of ${set}.\n")
  add_library(glumet_precompiled_${set} STATIC EXCLUDE_FROM_ALL ${unit})
  target_link_libraries(glumet_precompiled_${set} PRIVATE ${ARG_USES})
  target_precompile_headers(glumet_precompiled_${set} PRIVATE ${ARG_HEADERS})
  set_target_properties(glumet_precompiled_${set} PROPERTIES AUTOMOC OFF AUTOUIC OFF AUTORCC OFF)
endfunction()

function(glumet_compile_upon set)
  if(GLUMET_PRECOMPILED)
    foreach(target ${ARGN})
      target_precompile_headers(${target} REUSE_FROM glumet_precompiled_${set})
    endforeach()
  endif()
endfunction()

set(standard_headers
  <algorithm> <array> <atomic> <bit> <charconv> <chrono> <cmath> <cstdint> <cstdio> <deque> <functional> <limits> <map> <memory>
  <mutex> <numbers> <numeric> <optional> <random> <set> <span> <stop_token> <string> <string_view> <thread> <tuple> <type_traits>
  <unordered_map> <utility> <variant> <vector>)
set(file_headers ${standard_headers} <fmt/format.h> <tl/expected.hpp> <nlohmann/json.hpp>
  <QByteArray> <QDateTime> <QDir> <QFile> <QFileInfo> <QList> <QObject> <QRegularExpression> <QString> <QStringList> <QVariant>)

glumet_precompiled(core USES fmt::fmt tl::expected HEADERS ${standard_headers} <fmt/format.h> <tl/expected.hpp>)
glumet_precompiled(files USES fmt::fmt tl::expected nlohmann_json::nlohmann_json Qt6::Core HEADERS ${file_headers})
glumet_precompiled(desk USES fmt::fmt tl::expected nlohmann_json::nlohmann_json Qt6::Widgets Qt6::PrintSupport QCustomPlotQt6::QCustomPlotQt6
                   HEADERS ${file_headers} <QtWidgets> <qcustomplot.h>)
