#pragma once

#include <QButtonGroup>
#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <deque>

#include "desk/shared/session.h"

namespace glumet {

/// A strip of recent samples, drawn with its swing.
class ValueStrip : public QWidget {
    Q_OBJECT

  public:
    ValueStrip(const Session& session, double seconds, QWidget* parent = nullptr);

    void add(double seconds, double ppfd);
    void clear();
    std::optional<std::pair<double, double>> swing() const;  ///< least and greatest of the shown stretch
    double seconds() const { return seconds_; }
    /// A ground of its own, for the large strip; the one in the ledger has none.
    void setFramed(bool framed) { framed_ = framed; }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    const Session& session_;
    double seconds_;
    bool framed_ = false;
    std::deque<std::pair<double, double>> samples_;
    unsigned added_ = 0;
};

/// The line at the bottom: live reading with its swing, instrument, last word, saved state, units, theme.
class LedgerLine : public QWidget {
    Q_OBJECT

  public:
    explicit LedgerLine(Session& session);

    void refresh();
    /// A button for so many findings that are not in sight; none: no button.
    void offerFindings(int count, int doubts);

  signals:
    void findingsWanted();
    void instrumentsWanted();

  protected:
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void fitWord();
    void followMeter();
    void showInstruments();
    void showSample(double seconds, double ppfd);
    void showWord(const QString& sentence, bool problem);
    QWidget* makeSwitches();

    Session& session_;
    QLabel* live_;
    ValueStrip* strip_;
    QLabel* swing_;
    QPushButton* meter_;
    QLabel* word_;
    QLabel* saved_;
    QPushButton* findings_;
    QButtonGroup* units_;
    QMetaObject::Connection samples_;
    QMetaObject::Connection states_;
    double last_shown_ = -1.0;
};

}  // namespace glumet
