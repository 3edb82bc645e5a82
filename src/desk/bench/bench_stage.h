#pragma once

#include <QPushButton>
#include <QTableWidget>

#include "core/bench/sweep.h"
#include "core/words/finding.h"
#include "desk/shared/form_column.h"
#include "desk/shared/stage.h"

namespace glumet {

/// What hangs, over what, read with what and how; and the runs planned and done.
class BenchStage : public Stage {
    Q_OBJECT

  public:
    explicit BenchStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return runs_; }

    void newRun();
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
    void fillTankForm();
    void fillMeterForm();
    void fillMeterTruthRows();
    void fillMethodForm();
    void fillCheckRows();
    void refreshRuns();

    const Fixture& fixture() const;
    const Tank& tank() const;
    const MeterProfile& meter() const;
    template <class T>
    QString keep(const T& item);
    template <class T, class Change>
    FormColumn::Write writer(const T& (BenchStage::*current)() const, Change change);
    FormColumn::Write fixtureWriter(std::function<QString(Fixture&, const QString&)> change);
    FormColumn::Write methodWriter(std::function<QString(Method&, const QString&)> change);

    FormColumn* left_;
    FormColumn* right_;
    QTableWidget* runs_;
    Id fixture_ = 0;
    Id tank_ = 0;
    Id meter_ = 0;
    Configuration shown_;
};

/// What the window is told of this stage.
StageEntry benchEntry();

}  // namespace glumet
