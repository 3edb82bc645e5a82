#include "desk/shared/ledger_line.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>
#include <QStyle>

#include "desk/shared/accessible_cells.h"
#include "desk/shared/elided_button.h"
#include "desk/shared/theme.h"

namespace glumet {
namespace {

/// The figure is rewritten this often at most, s: a dancing number cannot be read.
constexpr double kFigureInterval = 0.25;
constexpr int kWithStrip = 1000;
constexpr int kWithSwing = 860;
constexpr int kWithSaved = 700;

}  // namespace

ValueStrip::ValueStrip(const Session& session, double seconds, QWidget* parent)
    : QWidget(parent), session_(session), seconds_(seconds) {
    setAccessibleName(tr("Last seconds of the reading"));
}

void ValueStrip::add(double seconds, double ppfd) {
    samples_.emplace_back(seconds, ppfd);
    while (!samples_.empty() && samples_.front().first < seconds - seconds_) samples_.pop_front();
    // Every second sample of twenty a second is enough for the eye, and half the cost.
    if (++added_ % 2 == 0) update();
}

void ValueStrip::clear() {
    samples_.clear();
    update();
}

std::optional<std::pair<double, double>> ValueStrip::swing() const {
    if (samples_.empty()) return std::nullopt;
    const auto [low, high] = std::minmax_element(
        samples_.begin(), samples_.end(), [](const auto& a, const auto& b) { return a.second < b.second; });
    return std::pair{low->second, high->second};
}

void ValueStrip::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    if (framed_) {
        p.setPen(Qt::NoPen);
        p.setBrush(c.panel);
        p.drawRoundedRect(rect(), 4, 4);
    }
    const auto range = swing();
    if (!range || samples_.size() < 2) return;
    // At least a tenth of the value fills the strip, so that a quiet reading looks quiet.
    const double middle = 0.5 * (range->first + range->second);
    const double half = std::max({0.5 * (range->second - range->first), 0.05 * middle, 1e-9}) * 1.15;
    const auto at = [&](const std::pair<double, double>& sample) {
        return QPointF(width() * (1.0 - (samples_.back().first - sample.first) / seconds_),
                       height() * (0.5 - 0.5 * (sample.second - middle) / half));
    };
    // Single lines no wider than a pixel are drawn straight away; wider ones, and a path of hundreds, are
    // first made into an outline, which takes twenty times as long.
    std::vector<QLineF> lines;
    lines.reserve(samples_.size());
    for (std::size_t i = 1; i < samples_.size(); ++i)
        lines.emplace_back(at(samples_[i - 1]), at(samples_[i]));
    p.setPen(QPen(c.water, 1.0));
    p.drawLines(lines.data(), static_cast<int>(lines.size()));
}

LedgerLine::LedgerLine(Session& session)
    : session_(session),
      live_(new QLabel),
      strip_(new ValueStrip(session, 8.0)),
      swing_(makeLabel({}, TextRole::Muted)),
      meter_(new ElidedButton),
      word_(makeLabel({}, TextRole::Body)),
      saved_(makeLabel({}, TextRole::Muted)),
      findings_(new QPushButton),
      units_(new QButtonGroup(this)) {
    setObjectName(QStringLiteral("ledger"));
    setAttribute(Qt::WA_StyledBackground);
    setFixedHeight(48);
    live_->setFont(houseFont(22, true));
    live_->setStyleSheet(QStringLiteral("font-size: 22px; font-weight: bold;"));
    live_->setFixedWidth(92);
    live_->setAccessibleName(tr("Live reading"));
    strip_->setFixedSize(130, 30);
    swing_->setFixedWidth(120);
    word_->setObjectName(QStringLiteral("lastWord"));
    word_->installEventFilter(this);
    word_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    // The instrument's name gives way in a narrow window.
    meter_->setProperty("quiet", true);
    meter_->setObjectName(QStringLiteral("instrumentsButton"));
    connect(meter_, &QPushButton::clicked, this, &LedgerLine::instrumentsWanted);
    findings_->setProperty("quiet", true);
    findings_->setObjectName(QStringLiteral("findingsButton"));
    findings_->hide();
    connect(findings_, &QPushButton::clicked, this, &LedgerLine::findingsWanted);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(20, 0, 14, 0);
    layout->setSpacing(14);
    for (QWidget* widget : {static_cast<QWidget*>(live_), static_cast<QWidget*>(strip_),
                            static_cast<QWidget*>(swing_), static_cast<QWidget*>(meter_)})
        layout->addWidget(widget);
    layout->addWidget(word_, 1);
    layout->addWidget(findings_);
    layout->addWidget(saved_);
    layout->addWidget(makeSwitches());
    connect(&session, &Session::meterChanged, this, &LedgerLine::followMeter);
    connect(&session, &Session::drawChanged, this, &LedgerLine::showInstruments);
    connect(&session, &Session::said, this, &LedgerLine::showWord);
    connect(&session, &Session::projectChanged, this, [this] {
        const bool looked_at = session_.project() != nullptr && session_.project()->lookedAt();
        setRole(saved_, looked_at ? TextRole::Problem : TextRole::Muted);
        saved_->setText(looked_at ? tr("read only") : tr("all saved"));
    });
    // Told after the commit: what is shown as saved is on the disk.
    connect(&session, &Session::dataChanged, this, [this] {
        const bool there = session_.project() != nullptr && session_.project()->inPlace();
        setRole(saved_, there ? TextRole::Muted : TextRole::Problem);
        saved_->setText(there ? tr("saved %1").arg(session_.now().mid(11, 8)) : tr("file is gone"));
    });
    followMeter();
    refresh();
}

void LedgerLine::offerFindings(int count, int doubts) {
    findings_->setVisible(count > 0);
    findings_->setText((doubts > 0 ? QStringLiteral("▲ ") : QString()) + tr("%n findings", nullptr, count));
    findings_->setToolTip(tr("Shows or hides them (F6)"));
}

/// The strip and the swing are in Measure too.
void LedgerLine::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    strip_->setVisible(width() >= kWithStrip);
    swing_->setVisible(width() >= kWithSwing);
    // That all is saved is the rule; that nothing is must be seen.
    const bool looked_at = session_.project() != nullptr && session_.project()->lookedAt();
    saved_->setVisible(width() >= kWithSaved || looked_at);
}

QWidget* LedgerLine::makeSwitches() {
    auto* holder = new QWidget;
    auto* layout = new QHBoxLayout(holder);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    for (const auto unit : {LengthUnit::Cm, LengthUnit::Mm, LengthUnit::Inch}) {
        auto* button = new QPushButton(QString::fromStdString(unitName(unit)));
        button->setProperty("quiet", true);
        button->setCheckable(true);
        button->setObjectName(QStringLiteral("unit_") + button->text());
        button->setAccessibleName(tr("Lengths in %1").arg(button->text()));
        units_->addButton(button, static_cast<int>(unit));
        layout->addWidget(button);
    }
    connect(units_, &QButtonGroup::idClicked, this,
            [this](int id) { session_.setUnit(static_cast<LengthUnit>(id)); });
    auto* theme = new QPushButton(tr("paper"));
    theme->setProperty("quiet", true);
    theme->setObjectName(QStringLiteral("themeSwitch"));
    theme->setAccessibleName(tr("Dim room or paper"));
    theme->setToolTip(tr("Dim room or paper"));
    connect(theme, &QPushButton::clicked, this, [this] { session_.setDark(!session_.dark()); });
    layout->addWidget(theme);
    return holder;
}

void LedgerLine::followMeter() {
    disconnect(samples_);
    strip_->clear();
    last_shown_ = -1.0;
    live_->setText(QStringLiteral("–"));
    swing_->setText(tr("no live reading"));
    disconnect(states_);
    const auto* meter = session_.meter();
    showInstruments();
    if (meter == nullptr) return;
    samples_ = connect(meter, &Meter::sampled, this, &LedgerLine::showSample);
    states_ = connect(meter, &Meter::stateChanged, this, [this](MeterState state) {
        if (state == MeterState::Lost) {
            // The last value is not the light's any more.
            live_->setText(QStringLiteral("–"));
            swing_->setText(tr("connection lost"));
            strip_->clear();
        }
        showInstruments();
    });
}

/// Names and states of what is connected; the draw beside them.
void LedgerLine::showInstruments() {
    const auto* meter = session_.meter();
    QString line = meter == nullptr ? tr("Connect an instrument") : meter->name();
    bool trouble = false;
    if (meter != nullptr && !meter->trouble().isEmpty()) {
        line += QStringLiteral(" ▲");
        trouble = true;
    }
    if (session_.powerMeter() != nullptr)
        line += session_.draw() ? tr("   %1 W").arg(session_.draw()->value(), 0, 'f', 1)
                                : tr("   %1 silent").arg(session_.powerMeter()->name());
    meter_->setProperty("trouble", trouble);
    meter_->style()->polish(meter_);
    meter_->setText(line);
    meter_->setToolTip(trouble            ? meter->trouble()
                       : meter == nullptr ? tr("Or type readings in Measure")
                                          : tr("Instruments"));
}

void LedgerLine::showSample(double seconds, double ppfd) {
    strip_->add(seconds, ppfd);
    if (last_shown_ >= 0.0 && seconds - last_shown_ < kFigureInterval) return;
    last_shown_ = seconds;
    live_->setText(QString::number(ppfd, 'f', ppfd < 1000 ? 1 : 0));
    if (const auto range = strip_->swing())
        swing_->setText(tr("swing %1–%2").arg(range->first, 0, 'f', 0).arg(range->second, 0, 'f', 0));
}

void LedgerLine::showWord(const QString& sentence, bool problem) {
    setRole(word_, problem ? TextRole::Problem : TextRole::Body);
    word_->setToolTip(sentence);
    word_->setAccessibleName(sentence);
    fitWord();
    if (problem) announce(*word_);
}

void LedgerLine::fitWord() {
    const auto& sentence = word_->toolTip();
    word_->setText(word_->fontMetrics().elidedText(sentence, Qt::ElideRight, qMax(word_->width(), 200)));
}

/// The instrument's name beside it may take room from a word that is there already.
bool LedgerLine::eventFilter(QObject* watched, QEvent* event) {
    if (watched == word_ && event->type() == QEvent::Resize) fitWord();
    return QWidget::eventFilter(watched, event);
}

void LedgerLine::refresh() {
    if (auto* button = units_->button(static_cast<int>(session_.unit()))) button->setChecked(true);
    if (auto* theme = findChild<QPushButton*>(QStringLiteral("themeSwitch")))
        theme->setText(session_.dark() ? tr("paper") : tr("dim"));
    if (session_.project() == nullptr) saved_->clear();
    update();
    strip_->update();
}

}  // namespace glumet
