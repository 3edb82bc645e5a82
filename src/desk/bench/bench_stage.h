#pragma once

#include <QPushButton>
#include <QTableWidget>

#include "core/bench/sweep.h"
#include "core/words/finding.h"
#include "desk/shared/form_column.h"
#include "desk/shared/stage.h"

namespace glumet {

class ChannelRows;

/// What hangs, over what, read with what and how; and the runs planned and done.
class BenchStage : public Stage {
    Q_OBJECT

  public:
    explicit BenchStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override;

    void newRun();
    /// Means that others published, typed in.
    void typeChart();
    void newFixture();
    void newTank();
    void newMeter();
    void newAccessory();
    void twinReading();
    void removeRun();
    /// Takes the beam of a photometric file for the fixture shown; asks for the file.
    void chooseBeamFile();
    void takeBeam(const QString& name, const QByteArray& bytes);

  private:
    QWidget* makeForms();
    QWidget* makeRuns();
    void fillFixtureForm();
    void fillLightRows();
    void fillAccessoryRows();
    void fillTankForm();
    void fillMeterForm();
    void fillMeterTruthRows();
    void fillMethodForm();
    void fillReadingRows();
    void fillCheckRows();
    void refreshRuns();
    void showFixture(Id id);
    void showTank(Id id);

    const Fixture& fixture() const;
    const Tank& tank() const;
    const MeterProfile& meter() const;
    const Accessory& accessory() const;
    template <class T>
    QString keep(const T& item);
    template <class T, class Change>
    FormColumn::Write writer(const T& (BenchStage::*current)() const, Change change);
    FormColumn::Write fixtureWriter(std::function<QString(Fixture&, const QString&)> change);
    FormColumn::Write methodWriter(std::function<QString(Method&, const QString&)> change);

    FormColumn* left_;
    FormColumn* right_;
    QTableWidget* runs_;
    ChannelRows* channels_ = nullptr;
    QComboBox* fixture_choice_ = nullptr;
    QComboBox* tank_choice_ = nullptr;
    Id fixture_ = 0;
    Id tank_ = 0;
    Id meter_ = 0;
    Id accessory_ = 0;
    Configuration shown_;
};

template <class T>
QString BenchStage::keep(const T& item) {
    return session().edit([&](Project& project) { return project.save(item); });
}

template <class T, class Change>
FormColumn::Write BenchStage::writer(const T& (BenchStage::*current)() const, Change change) {
    return [this, current, change](const QString& typed) -> QString {
        T item = (this->*current)();
        const QString fault = change(item, typed);
        return fault.isEmpty() ? keep(item) : fault;
    };
}

/// What the window is told of this stage.
StageEntry benchEntry();

}  // namespace glumet
