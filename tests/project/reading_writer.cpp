// Stores readings one by one and says each number once it is stored, until it is killed.
#include <QCoreApplication>
#include <cstdio>

#include "project/project.h"

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    auto project = glumet::Project::open(QString::fromLocal8Bit(argv[1]));
    if (!project) return 1;
    const auto plane = (*project)->bench().runs.front().planes.front().id;
    for (int i = 0;; ++i) {
        glumet::Reading reading;
        reading.x = glumet::Millimetre(i % 6 * 100.0);
        reading.y = glumet::Millimetre(i / 6 % 6 * 100.0);
        reading.mean = glumet::Ppfd(i);
        if (!(*project)->take(plane, reading)) return 1;
        std::printf("%d\n", i);
        std::fflush(stdout);
    }
}
