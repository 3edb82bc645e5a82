#include "project/described_rows.h"
#include "project/project.h"

namespace glumet {

Bench loadBench(const ProjectFile& file) {
    Bench bench;
    auto row = described::rowsOf(file, described::tableNamed(QStringLiteral("project")));
    if (!row.next()) throw SqlFault{QStringLiteral("the project row is missing")};
    auto head = described::entityOf<ProjectHead>(row, false);
    bench.title = std::move(head.title);
    bench.method = std::move(head.method);
    for (const auto& part : entityType<Bench>().parts) described::loadAll(file, part, &bench);
    return bench;
}

}  // namespace glumet
