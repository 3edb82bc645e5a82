#pragma once

#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <array>
#include <functional>
#include <utility>

namespace glumet::testing {

/// How a program ended, and what it said.
struct Ended {
    bool killed = false;
    int code = -1;
    QByteArray out;
    QByteArray err;
};

/// A built program that is loaded once and then run as often as is asked (many_starts.cpp): most of a short
/// run is the loading. Runs one at a time; what it reads from standard input is empty.
class Started {
  public:
    /// `before` is called in the program that all runs come from, to limit them, say.
    explicit Started(const QString& program, const std::function<void()>& before = {}) : program_(program) {
        auto environment = QProcessEnvironment::systemEnvironment();
        environment.insert(
            QStringLiteral("LD_PRELOAD"),
            QStringLiteral(GLUMET_BINARY_DIR "/many_starts.so:" GLUMET_BINARY_DIR "/failing_disk.so"));
        loaded_.setProcessEnvironment(environment);
        if (before) loaded_.setChildProcessModifier(before);
        loaded_.start(path(), QStringList());
    }
    ~Started() {
        loaded_.closeWriteChannel();
        loaded_.waitForFinished(-1);
    }

    Ended run(const QStringList& arguments,
              const QProcessEnvironment& environment = QProcessEnvironment::systemEnvironment(),
              const QString& folder = QDir::currentPath()) {
        const auto out = dir_.filePath(QStringLiteral("out"));
        const auto err = dir_.filePath(QStringLiteral("err"));
        const auto variables = environment.toStringList();
        QStringList texts{folder, out, err, QString::number(variables.size())};
        texts << variables << path() << arguments;
        QByteArray asked;
        for (const auto& text : texts) asked += text.toLocal8Bit() + '\0';
        const auto size = static_cast<quint32>(asked.size());
        loaded_.write(reinterpret_cast<const char*>(&size), sizeof size);
        loaded_.write(asked);
        std::array<qint32, 2> told{};
        while (loaded_.bytesAvailable() < static_cast<qint64>(sizeof told))
            if (!loaded_.waitForReadyRead(-1)) return {};
        loaded_.read(reinterpret_cast<char*>(told.data()), sizeof told);
        return {told[0] != 0, told[1], bytesOf(out), bytesOf(err)};
    }

  private:
    QString path() const { return QStringLiteral(GLUMET_BINARY_DIR "/") + program_; }
    static QByteArray bytesOf(const QString& path) {
        QFile file(path);
        return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
    }

    QString program_;
    QTemporaryDir dir_;
    QProcess loaded_;
};

}  // namespace glumet::testing
