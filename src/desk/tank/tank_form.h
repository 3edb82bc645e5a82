#pragma once

#include "desk/shared/figure_table.h"
#include "desk/shared/form_column.h"
#include "desk/tank/tank_choice.h"
#include "desk/tank/tank_light.h"

namespace glumet {

/// The rows of the Tank stage: which tank, the spot with its last reading, who lives there, rocks, plans, and
/// lamps as if they hung there.
class TankForm : public FormColumn {
    Q_OBJECT

  public:
    TankForm(Session& session, TankChoice& choice, TankLight& light);

    void removeSpot();
    void newRock();
    void removeRock();
    void newRamp();
    void removeRamp();
    /// A picture of the spot; asks for the file where none is named.
    void choosePhoto(const QString& path);

  signals:
    void chosen();  ///< another tank, spot, rock or plan
    void lampsChanged();

  private:
    template <class Row>
    using Change = std::function<QString(Row&, const QString&)>;
    Write spotWriter(Change<TankSpot> change);
    Write readingWriter(Change<SpotReading> change);
    Write organismWriter(Change<Organism> change);
    Write rockWriter(Change<Rock> change);
    Write rampWriter(Change<Acclimation> change);
    QString typeReading(const QString& typed);
    template <class Row>
    using Rows = std::vector<const Row*> (TankChoice::*)() const;
    template <class Row>
    ReadIndex indexIn(Rows<Row> rows, const Row* (TankChoice::*row)() const);
    template <class Row>
    WriteIndex choosing(Rows<Row> rows, void (TankChoice::*choose)(Id));
    template <class Row>
    void pick(QComboBox* combo, const char* object, Rows<Row> rows);
    void addTankRow();
    void addSpotRows();
    void addReadingRows();
    void addHowReadRows();
    void addPhotoRows();
    void addOrganismRows();
    void addGoalRow();
    void addRockRows();
    void addRampRows();
    void addRampFigures();
    void addChannelRow();
    void addLampRows();
    void addLampFigures();
    void headed(const QString& heading, const char* object, const QString& text, void (TankForm::*work)());
    QLineEdit* named(QLineEdit* edit, const char* object);
    void addReadingsTable();
    void showReadings();
    void showPhoto();

    Session& session_;
    TankChoice& choice_;
    TankLight& light_;
    FigureTable* readings_ = nullptr;
    QLabel* photo_ = nullptr;
    std::string shown_photo_;
    std::vector<Configuration> offered_;
    std::vector<Id> channels_;
};

}  // namespace glumet
