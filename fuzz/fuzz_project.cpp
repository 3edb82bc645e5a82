// Overwrites parts of a sound project and of its log: looking, opening and rescuing may refuse, and never
// crash, hang, change a byte of what they refuse, or hand over what cannot be.
#include <unistd.h>

#include <QFile>
#include <QTemporaryDir>
#include <cstdint>
#include <cstdlib>

#include "core/bench/bench_rules.h"
#include "core/bench/grid.h"
#include "project/project.h"

namespace {

using namespace glumet;  // NOLINT: one small program

struct Sound {
    QTemporaryDir dir{QStringLiteral("/dev/shm/glumet-fuzz-XXXXXX")};
    QByteArray file;
    QByteArray log;

    Sound() {
        const auto path = dir.filePath(QStringLiteral("sound.glumet"));
        auto project = *Project::create(path, QStringLiteral("Sound"));
        Fixture fixture;
        fixture.name = "Fern 20";
        Run run;
        run.fixture = *project->save(fixture);
        run.label = "first";
        run.height = Millimetre(200);
        run.planes.resize(1);
        run.planes[0].grid = cellCentres(Millimetre(600), Millimetre(600), 3, 3);
        (void)project->save(run);
        for (int i = 0; i < 9; ++i) {
            Reading reading;
            reading.x = Millimetre(100 + i % 3 * 200);
            reading.y = Millimetre(100 + i / 3 * 200);
            reading.mean = Ppfd(100 + i);
            (void)project->take(project->bench().runs[0].planes[0].id, reading);
        }
        file = read(path);
        log = read(path + QStringLiteral("-wal"));
    }

    static QByteArray read(const QString& path) {
        QFile source(path);
        return source.open(QIODevice::ReadOnly) ? source.readAll() : QByteArray();
    }
    static void write(const QString& path, const QByteArray& bytes) {
        QFile target(path);
        if (!target.open(QIODevice::WriteOnly) || target.write(bytes) != bytes.size()) std::abort();
    }
};

/// Patches: which file and place (4 bytes), length, bytes.
void patch(QByteArray& file, QByteArray& log, const std::uint8_t* data, std::size_t size) {
    while (size >= 5) {
        auto& target = (data[0] & 1U) != 0 && !log.isEmpty() ? log : file;
        const qsizetype place = (data[1] << 16 | data[2] << 8 | data[3]) % target.size();
        const auto length =
            std::min<std::size_t>({data[4], size - 5, static_cast<std::size_t>(target.size() - place)});
        target.replace(place, static_cast<qsizetype>(length), reinterpret_cast<const char*>(data) + 5,
                       static_cast<qsizetype>(length));
        data += 5 + length;
        size -= 5 + length;
    }
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const Sound sound;
    if (size < 1) return 0;
    QByteArray file = sound.file;
    QByteArray log = (data[0] & 1U) != 0 ? sound.log : QByteArray();
    patch(file, log, data + 1, size - 1);
    const auto path = sound.dir.filePath(QStringLiteral("patched.glumet"));
    Sound::write(path, file);
    QFile::remove(path + QStringLiteral("-wal"));
    QFile::remove(path + QStringLiteral("-shm"));
    if (!log.isEmpty()) Sound::write(path + QStringLiteral("-wal"), log);
    const auto looked = Project::look(path);
    if (looked && !faultsOf((*looked)->bench()).empty()) std::abort();
    if (const auto rescued = Project::rescue(path))
        if (!(*rescued)->faults().empty()) std::abort();
    if (Sound::read(path) != file || Sound::read(path + QStringLiteral("-wal")) != log) std::abort();
    const bool opened = Project::open(path).has_value();
    if (!looked && (opened || Sound::read(path) != file)) std::abort();
    return 0;
}
