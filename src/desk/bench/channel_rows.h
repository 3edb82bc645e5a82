#pragma once

#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>
#include <QWidget>
#include <functional>
#include <memory>
#include <vector>

#include "desk/shared/session.h"

namespace glumet {

/// The fixture's channels, one row each: the share of its light as a bar, the share of its watts, and its
/// spectrum: measured, or stated as peaks. Below them its presets with their levels.
class ChannelRows : public QWidget {
    Q_OBJECT

  public:
    using Shown = std::function<const Fixture&()>;
    using Keep = std::function<QString(const Fixture&)>;
    ChannelRows(Session& session, Shown shown, Keep keep);

    void refresh();

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    struct Row {
        QLabel* name;
        QLineEdit* light;
        QLineEdit* watts;
        QLineEdit* peaks;
    };
    Row& rowOf(std::size_t index);
    QLineEdit* makeShare(const char* name, std::size_t index, std::optional<double> Channel::*share);
    void refreshPresets();
    QLineEdit* presetField(std::size_t index);
    void takeShare(QLineEdit* field, std::size_t index, std::optional<double> Channel::*share);
    void takePreset(QLineEdit* field, std::size_t index);
    QLineEdit* makePeaks(std::size_t index);
    void refreshPeaks(QLineEdit& field, const Channel& channel);
    void takePeaks(QLineEdit* field, std::size_t index);

    Session& session_;
    Shown shown_;
    Keep keep_;
    QGridLayout* grid_;
    QGridLayout* preset_grid_;
    std::vector<Row> rows_;
    std::vector<std::pair<QLabel*, QLineEdit*>> presets_;
    QLabel* light_head_;
    QLabel* watts_head_;
    QLabel* peaks_head_;
};

/// "cool white 100, deep red 50": levels of a preset, %; empty: no levels are known.
QString presetLevelsText(const Fixture& fixture, const Preset& preset);
/// The same read; the reason why not, or nothing.
QString takePresetLevels(const Fixture& fixture, const QString& typed, Preset& preset);

}  // namespace glumet
