#pragma once

#include <QVBoxLayout>
#include <QWidget>

namespace glumet {

/// What is shown without a project: four ways to begin, and the projects opened last.
class StartPage : public QWidget {
    Q_OBJECT

  public:
    StartPage();

    void refresh();

  protected:
    void showEvent(QShowEvent* event) override;

  signals:
    void demonstrationWanted();
    void newBenchWanted();
    void readingsWanted();
    void projectWanted();  ///< one that the user chooses
    void recentWanted(const QString& path);

  private:
    QVBoxLayout* recent_;
};

}  // namespace glumet
