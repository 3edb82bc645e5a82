#include "desk/spectrum/day_page.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QPainter>
#include <QVBoxLayout>
#include <algorithm>

#include "core/words/wording.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "desk/spectrum/day_log_dialog.h"
#include "report/text.h"

namespace glumet {

/// The figure as a widget.
class DayView : public QWidget {
  public:
    DayView() {
        setMinimumSize(320, 160);
        setAccessibleName(DayPage::tr("Light through the day"));
    }
    void setFigure(DayFigure figure, const Palette& palette) {
        figure_ = std::move(figure);
        palette_ = &palette;
        update();
    }

  protected:
    void paintEvent(QPaintEvent* /*event*/) override {
        if (palette_ == nullptr) return;
        QPainter p(this);
        paintDay(p, QRectF(rect()), figure_, *palette_);
    }

  private:
    DayFigure figure_;
    const Palette* palette_ = nullptr;
};

namespace {

constexpr std::size_t kRampRows = 12;  ///< channels whose own ramps can be typed

/// The ramp of a channel; 0 is that of all others.
const ScheduleRamp* rampOf(const Schedule& schedule, Id channel) {
    for (const auto& ramp : schedule.ramps)
        if (ramp.channel == channel) return &ramp;
    return nullptr;
}

QString takeRamp(Schedule& schedule, Id channel, const QString& typed) {
    auto& ramps = schedule.ramps;
    const auto known =
        std::find_if(ramps.begin(), ramps.end(), [&](const ScheduleRamp& r) { return r.channel == channel; });
    if (typed.trimmed().isEmpty()) {
        if (known != ramps.end()) ramps.erase(known);
        return {};
    }
    const auto points = parseClock(typed.toStdString());
    if (!points) return text(points.error());
    if (known != ramps.end())
        known->points = *points;
    else
        ramps.push_back({0, channel, *points});
    return {};
}

}  // namespace

DayPage::DayPage(Session& session)
    : session_(session),
      view_(new DayView),
      form_(new FormColumn(session)),
      log_choice_(new QComboBox),
      dose_(makeLabel({}, TextRole::Figure)),
      dose_what_(makeLabel({}, TextRole::Muted)),
      figures_(makeLabel({}, TextRole::Body)),
      caption_(makeLabel({}, TextRole::Muted)) {
    setFocusPolicy(Qt::StrongFocus);
    fillForm();
    layOut();
    connect(log_choice_, &QComboBox::activated, this, [this](int index) {
        log_ = log_choice_->itemData(index).toLongLong();
        emit viewChanged();
    });
}

void DayPage::layOut() {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(8);
    caption_->setWordWrap(true);
    layout->addWidget(caption_);
    layout->addWidget(view_, 1);
    auto* below = new QHBoxLayout;
    below->setSpacing(26);
    auto* left = new QVBoxLayout;
    left->setSpacing(2);
    dose_->setObjectName(QStringLiteral("dayDose"));
    left->addWidget(dose_);
    left->addWidget(dose_what_);
    left->addSpacing(6);
    figures_->setTextFormat(Qt::PlainText);
    left->addWidget(figures_);
    left->addSpacing(8);
    auto* logs = new QHBoxLayout;
    log_choice_->setObjectName(QStringLiteral("dayLog"));
    log_choice_->setAccessibleName(tr("Logger laid over it"));
    auto* add_log = quietButton(tr("add a file…"));
    add_log->setObjectName(QStringLiteral("addLog"));
    connect(add_log, &QPushButton::clicked, this, &DayPage::addLog);
    remove_log_ = quietButton(tr("remove"));
    remove_log_->setObjectName(QStringLiteral("removeLog"));
    connect(remove_log_, &QPushButton::clicked, this, [this] {
        session_.edit([&](Project& project) { return project.removeLog(log_); });
        emit viewChanged();
    });
    logs->addWidget(log_choice_, 1);
    logs->addWidget(remove_log_);
    logs->addWidget(add_log);
    left->addLayout(logs);
    left->addStretch(1);
    below->addLayout(left, 4);
    auto* right = new QVBoxLayout;
    right->addWidget(form_);
    right->addStretch(1);
    below->addLayout(right, 5);
    layout->addLayout(below);
}

std::vector<const Schedule*> DayPage::schedules() const {
    std::vector<const Schedule*> all;
    const auto* run = session_.run();
    for (const auto& schedule : session_.bench().schedules)
        if (run != nullptr && schedule.fixture == run->fixture) all.push_back(&schedule);
    return all;
}

const Schedule& DayPage::schedule() const {
    static const Schedule none;
    const auto* found = byId(session_.bench().schedules, schedule_);
    return found == nullptr ? none : *found;
}

const DayLog* DayPage::log() const { return byId(session_.bench().logs, log_); }

FormColumn::Write DayPage::writer(std::function<QString(Schedule&, const QString&)> change) {
    return [this, change = std::move(change)](const QString& typed) -> QString {
        if (schedule_ == 0) return tr("Add a clock first.");
        auto changed = schedule();
        if (const QString fault = change(changed, typed); !fault.isEmpty()) return fault;
        return session_.edit([&](Project& project) { return project.save(changed); });
    };
}

void DayPage::fillForm() {
    auto* add = quietButton(tr("new"));
    add->setObjectName(QStringLiteral("newSchedule"));
    connect(add, &QPushButton::clicked, this, &DayPage::addSchedule);
    auto* remove = quietButton(tr("remove"));
    remove->setObjectName(QStringLiteral("removeSchedule"));
    connect(remove, &QPushButton::clicked, this, &DayPage::removeSchedule);
    auto* both = new QWidget;
    auto* row = new QHBoxLayout(both);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(remove);
    row->addWidget(add);
    form_->addHeading(tr("Clock"), both);
    choice_ = form_->addHeadingChoice(
        tr("Clock"),
        [this] {
            const auto all = schedules();
            for (std::size_t i = 0; i < all.size(); ++i)
                if (all[i]->id == schedule_) return static_cast<int>(i);
            return -1;
        },
        [this](int index) -> QString {
            const auto all = schedules();
            if (index >= 0 && index < static_cast<int>(all.size()))
                schedule_ = all[static_cast<std::size_t>(index)]->id;
            form_->refreshAnew();
            return {};
        });
    addClockRows();
    addRampRows();
    addPriceRow();
}

void DayPage::addClockRows() {
    form_->addText(
        tr("name"), [this] { return text(schedule().name); }, writer([](Schedule& s, const QString& typed) {
            s.name = typed.trimmed().toStdString();
            return s.name.empty() ? tr("A clock needs a name.") : QString();
        }));
    form_
        ->addText(
            tr("lights"), [this] { return schedule_ == 0 ? QString() : QString::number(schedule().lights); },
            writer([](Schedule& s, const QString& typed) -> QString {
                bool fine = false;
                const int lights = typed.trimmed().toInt(&fine);
                if (!fine || lights < 1 || lights > limits::kFixtures)
                    return tr("How many lights run by this clock: a whole number.");
                s.lights = lights;
                return {};
            }))
        ->setObjectName(QStringLiteral("scheduleLights"));
    form_
        ->addText(
            tr("gains, s a day"),
            [this] { return schedule_ == 0 ? QString() : QString::number(schedule().drift_s_day); },
            writer([](Schedule& s, const QString& typed) -> QString {
                const auto drift = parseNumber(typed.toStdString());
                if (!drift || std::abs(*drift) > 3600.0)
                    return tr("Seconds that the clock gains a day, negative if it loses.");
                s.drift_s_day = *drift;
                return {};
            }))
        ->setObjectName(QStringLiteral("scheduleDrift"));
}

void DayPage::addPriceRow() {
    form_
        ->addText(
            tr("price a kWh"),
            [this] {
                const double price = session_.bench().method.price_kwh;
                return price > 0.0 ? QString::number(price) : QString();
            },
            [this](const QString& typed) -> QString {
                const auto price =
                    typed.trimmed().isEmpty() ? std::optional(0.0) : parseNumber(typed.toStdString());
                if (!price || *price < 0.0) return tr("A price is a number of 0 or more.");
                return session_.changeMethod([&](Method& m) { m.price_kwh = *price; });
            },
            tr("not stated"))
        ->setObjectName(QStringLiteral("priceKwh"));
}

/// One row of times and levels for all channels, and one for each that goes its own way.
void DayPage::addRampRows() {
    for (std::size_t i = 0; i <= kRampRows; ++i) {
        const auto channel = [this, i]() -> const Channel* {
            const auto* fixture = byId(session_.bench().fixtures, schedule().fixture);
            return i == 0 || fixture == nullptr || i > fixture->channels.size() ? nullptr
                                                                                : &fixture->channels[i - 1];
        };
        auto* edit = form_->addText(
            i == 0 ? tr("all channels") : QStringLiteral("channel"),
            [this, channel, i] {
                const auto* of = channel();
                const auto* ramp =
                    i > 0 && of == nullptr ? nullptr : rampOf(schedule(), of == nullptr ? 0 : of->id);
                return ramp == nullptr ? QString() : text(clockText(ramp->points));
            },
            writer([channel, i](Schedule& s, const QString& typed) -> QString {
                const auto* of = channel();
                if (i > 0 && of == nullptr) return {};
                return takeRamp(s, of == nullptr ? 0 : of->id, typed);
            }),
            i == 0 ? tr("8:00 0, 9:00 80, 18:00 80, 19:00 0") : tr("as all"));
        edit->setObjectName(QStringLiteral("ramp_%1").arg(i));
        ramps_.push_back(edit);
        ramp_names_.push_back(form_->nameOf(edit));
    }
    form_->onRefresh([this] {
        const auto* fixture = byId(session_.bench().fixtures, schedule().fixture);
        const auto count = fixture == nullptr || fixture->channels.size() < 2 ? 0 : fixture->channels.size();
        for (std::size_t i = 1; i < ramps_.size(); ++i) {
            const bool there = i <= count;
            ramps_[i]->setVisible(there);
            ramp_names_[i]->setVisible(there);
            if (!there) continue;
            ramp_names_[i]->setText(text(fixture->channels[i - 1].name));
            ramps_[i]->setAccessibleName(text(fixture->channels[i - 1].name));
        }
        const auto all = schedules();
        choice_->clear();
        for (const auto* schedule : all) choice_->addItem(text(schedule->name));
        for (auto* edit : form_->findChildren<QLineEdit*>())
            edit->setEnabled(!all.empty() || edit->objectName() == QLatin1String("priceKwh"));
    });
}

void DayPage::removeSchedule() {
    if (schedule_ == 0) return;
    session_.edit([&](Project& project) { return project.removeSchedule(schedule_); });
    emit viewChanged();
}

void DayPage::addSchedule() {
    const auto* run = session_.run();
    if (run == nullptr) return session_.warn(tr("Choose a run first: a clock belongs to its fixture."));
    Schedule fresh;
    fresh.fixture = run->fixture;
    fresh.name = tr("clock %1").arg(schedules().size() + 1).toStdString();
    const double hours = std::clamp(session_.goal().photoperiod_h, 1.0, 22.0);
    const double from = std::max(0.5, 13.0 - 0.5 * hours);
    fresh.ramps = {
        {0, 0, {{from - 0.5, 0}, {from + 0.5, 100}, {from + hours - 0.5, 100}, {from + hours + 0.5, 0}}}};
    session_.edit([&](Project& project) -> Expected<Id> {
        const auto id = project.save(fresh);
        if (id) schedule_ = *id;
        return id;
    });
    emit viewChanged();
}

void DayPage::addLog() {
    const QString path = QFileDialog::getOpenFileName(this, tr("A logger's day"), {},
                                                      tr("Tables (*.csv *.tsv *.txt);;All files (*)"));
    if (path.isEmpty()) return;
    DayLogDialog dialog(session_, path, this);
    if (!dialog.fault().isEmpty()) return session_.warn(dialog.fault());
    if (dialog.exec() != QDialog::Accepted) return;
    session_.edit([&](Project& project) -> Expected<Id> {
        const auto id = project.save(dialog.log());
        if (id) log_ = *id;
        return id;
    });
    emit viewChanged();
}

/// The clocks as lights over the chosen plane, and what they make of the day.
void DayPage::ask(const RunMix* mix) {
    question_ = {};
    span_.reset();
    curves_.clear();
    logged_.clear();
    if (mix != nullptr)
        for (const auto* schedule : schedules()) {
            ClockedLight light{*schedule, {}};
            for (std::size_t c = 0; c < mix->channels.size(); ++c) {
                const auto& channel = mix->mix.channels()[c];
                std::optional<double> watt;
                if (channel.watt) watt = *channel.watt * schedule->lights;
                light.channels.push_back({mix->channels[c].channel, channel.ppfd, watt, channel.dimming});
            }
            curves_.push_back(dayCurve({light}));
            question_.lights.push_back(std::move(light));
        }
    if (!question_.lights.empty()) {
        question_.day = figuresOf(dayCurve(question_.lights));
        span_ = doseOver(*mix, question_.lights);
    }
    question_.log = log();
    if (question_.log != nullptr) {
        logged_ = daysOf(*question_.log);
        for (const auto& day : logged_) question_.logged.push_back(figuresOf(day));
    }
}

void DayPage::refresh(const RunMix* mix) {
    const auto all = schedules();
    if (std::none_of(all.begin(), all.end(), [&](const auto* s) { return s->id == schedule_; }))
        schedule_ = all.empty() ? 0 : all.front()->id;
    const auto& logs = session_.bench().logs;
    if (log() == nullptr) log_ = logs.empty() ? 0 : logs.front().id;
    log_choice_->clear();
    log_choice_->addItem(tr("no logger"), 0);
    for (const auto& one : logs) {
        log_choice_->addItem(text(one.name), static_cast<qlonglong>(one.id));
        if (one.id == log_) log_choice_->setCurrentIndex(log_choice_->count() - 1);
    }
    remove_log_->setEnabled(log() != nullptr);
    form_->refresh();
    ask(mix);
    refreshFigures();
}

void DayPage::refreshFigures() {
    const auto* run = session_.run();
    const auto* plane = session_.plane();
    caption_->setText(
        run == nullptr || plane == nullptr
            ? tr("Choose a plane: the day is told for it.")
            : tr("Each clock as one light over the chosen plane, %1 under water, lamp at %2. Line: the "
                 "logger, at its own place.")
                  .arg(session_.length(plane->depth), session_.length(run->height)));
    const auto& day = question_.day;
    const bool there = !question_.lights.empty();
    dose_->setText(there ? tr("%1 mol a day").arg(day.dli, 0, 'f', 1) : tr("no clock"));
    dose_what_->setText(there ? tr("DLI at this plane, its mean, all clocks together") : QString());
    QStringList lines;
    if (there) {
        if (span_)
            lines << tr("on it %1–%2, on all planes %3–%4")
                         .arg(span_->plane_low, 0, 'f', 1)
                         .arg(span_->plane_high, 0, 'f', 1)
                         .arg(span_->all_low, 0, 'f', 1)
                         .arg(span_->all_high, 0, 'f', 1);
        lines << tr("plateau %1, peak %2")
                     .arg(text(ppfdFigure(Ppfd(day.plateau))), text(ppfdFigure(Ppfd(day.peak))));
        lines << tr("day of %1 h, night light %2")
                     .arg(day.photoperiod_h, 0, 'f', 1)
                     .arg(text(ppfdFigure(Ppfd(day.night_ppfd))));
    }
    if (!question_.logged.empty())
        lines << tr("logger %1 mol, plateau %2")
                     .arg(question_.logged.front().dli, 0, 'f', 1)
                     .arg(text(ppfdFigure(Ppfd(question_.logged.front().plateau))));
    figures_->setText(lines.join(QLatin1Char('\n')));
    DayFigure figure;
    figure.lights = curves_;
    figure.logged = logged_;
    figure.plateau = there ? day.plateau : 0.0;
    figure.short_peaks = there && !day.short_peaks.empty() ? day.short_peaks
                         : !question_.logged.empty()       ? question_.logged.front().short_peaks
                                                           : std::vector<DaySpan>{};
    figure.empty = tr("No clock yet: new, on the right, begins one.");
    view_->setFigure(std::move(figure), session_.palette());
}

std::vector<Finding> DayPage::findings() const { return dayFindings(session_.bench(), question_); }

}  // namespace glumet
