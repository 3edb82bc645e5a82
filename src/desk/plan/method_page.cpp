#include "desk/plan/method_page.h"

#include <QHBoxLayout>
#include <QInputDialog>
#include <QRegularExpression>
#include <QScrollArea>
#include <QVBoxLayout>

#include "core/bench/sweep.h"
#include "core/survey/lengths_text.h"
#include "core/survey/pace.h"
#include "core/survey/route.h"
#include "core/words/typed.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

template <class T>
void offer(QComboBox* combo, const std::vector<T>& items, const QString& none = {}) {
    combo->clear();
    if (!none.isEmpty()) combo->addItem(none, 0LL);
    for (const auto& item : items) combo->addItem(text(item.name), static_cast<qlonglong>(item.id));
}

QString joined(const std::vector<std::string>& words) {
    QStringList list;
    for (const auto& word : words) list << (word.empty() ? QStringLiteral("none") : text(word));
    return list.join(QStringLiteral("; "));
}

QString spotsText(const std::vector<Spot>& spots, LengthUnit unit) {
    QStringList list;
    for (const auto& spot : spots)
        list << QStringLiteral("%1 %2 × %3")
                    .arg(text(spot.name), text(lengthFigure(spot.x, unit)), text(lengthFigure(spot.y, unit)));
    return list.join(QStringLiteral("; "));
}

/// "left 12 × 30; middle 30 × 30": nothing when a piece is not understood.
std::optional<std::vector<Spot>> parseSpots(const QString& typed, LengthUnit unit) {
    std::vector<Spot> spots;
    for (const auto& piece : typed.split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
        // The name ends where the first figure of the place begins.
        static const QRegularExpression place(QStringLiteral(R"(\s[\d.,/ ]+\s*[x×*])"));
        const auto at = piece.indexOf(place);
        const auto where = at < 0 ? std::nullopt : parseLengthPair(piece.mid(at).toStdString(), unit);
        if (!where) return std::nullopt;
        spots.push_back({piece.left(at).trimmed().toStdString(), where->first, where->second});
    }
    return spots;
}

}  // namespace

MethodPage::MethodPage(Session& session, MethodStore store)
    : session_(session),
      store_(std::move(store)),
      methods_(new QComboBox),
      purpose_(makeLabel({}, TextRole::Muted)),
      form_(new FormColumn(session)),
      map_(new PlanMap),
      count_(makeLabel({}, TextRole::Figure)),
      time_(makeLabel({}, TextRole::Body)),
      fault_(makeLabel({}, TextRole::Problem)),
      add_(new QPushButton),
      remove_(new QPushButton(tr("forget this method"))) {
    for (auto* label : {purpose_, time_, fault_}) label->setWordWrap(true);
    methods_->setObjectName(QStringLiteral("methodChoice"));
    methods_->setAccessibleName(tr("Method"));
    add_->setObjectName(QStringLiteral("addRuns"));
    add_->setProperty("primary", true);
    count_->setObjectName(QStringLiteral("plannedCount"));
    fault_->setObjectName(QStringLiteral("planFault"));
    map_->setFocusPolicy(Qt::NoFocus);
    makeForm();
    layOut();
    connect(methods_, &QComboBox::activated, this, &MethodPage::choose);
    connect(add_, &QPushButton::clicked, this, &MethodPage::addRuns);
    connect(remove_, &QPushButton::clicked, this, &MethodPage::removeMethod);
    auto own = store_.load();
    if (own)
        own_ = std::move(*own);
    else
        session_.warn(text(own.error()));
}

void MethodPage::layOut() {
    auto* keep = new QPushButton(tr("Keep as my method…"));
    keep->setObjectName(QStringLiteral("keepMethod"));
    remove_->setProperty("quiet", true);
    remove_->setObjectName(QStringLiteral("forgetMethod"));
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* holder = new QWidget;
    auto* rows = new QVBoxLayout(holder);
    rows->setContentsMargins(0, 0, 10, 0);
    rows->addWidget(methods_);
    rows->addWidget(purpose_);
    rows->addWidget(form_);
    rows->addStretch(1);
    scroll->setWidget(holder);
    auto* right = new QVBoxLayout;
    right->setSpacing(6);
    right->addWidget(count_);
    right->addWidget(time_);
    right->addWidget(map_);
    right->addWidget(fault_);
    right->addStretch(1);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(add_);
    buttons->addWidget(keep);
    buttons->addStretch(1);
    right->addLayout(buttons);
    right->addWidget(remove_, 0, Qt::AlignLeft);
    auto* columns = new QHBoxLayout(this);
    columns->setContentsMargins(0, 0, 0, 0);
    columns->setSpacing(24);
    columns->addWidget(scroll, 1);
    columns->addLayout(right, 1);
    connect(keep, &QPushButton::clicked, this, &MethodPage::keepMethod);
}

void MethodPage::makeForm() {
    addSubjectRows();
    addMatrixRows();
    addVariationRows();
}

void MethodPage::addSubjectRows() {
    const auto chooser = [this](const QString& name, Id MethodPage::*member, QComboBox* MethodPage::*combo) {
        this->*combo = form_->addChoice(
            name, {},
            [this, member, combo] {
                return qMax(0, (this->*combo)->findData(static_cast<qlonglong>(this->*member)));
            },
            [this, member, combo](int index) {
                this->*member = (this->*combo)->itemData(index).toLongLong();
                edited();
                return QString();
            });
    };
    form_->addHeading(tr("What"));
    chooser(tr("fixture"), &MethodPage::fixture_, &MethodPage::fixtures_);
    chooser(tr("and after it"), &MethodPage::second_, &MethodPage::seconds_);
    chooser(tr("tank"), &MethodPage::tank_, &MethodPage::tanks_);
    chooser(tr("meter"), &MethodPage::meter_, &MethodPage::meters_);
}

FormColumn::Write MethodPage::lengths(std::vector<Millimetre> SurveyMethod::*member) {
    return [this, member](const QString& typed) -> QString {
        auto parsed = parseLengths(typed.toStdString(), session_.unit());
        if (!parsed) return text(parsed.error());
        method_.*member = std::move(*parsed);
        edited();
        return {};
    };
}

FormColumn::Write MethodPage::words(std::vector<std::string> SurveyMethod::*member) {
    return [this, member](const QString& typed) -> QString {
        std::vector<std::string> list;
        for (const auto& word : typed.split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
            const QString trimmed = word.trimmed();
            list.push_back(trimmed == tr("none") ? std::string() : trimmed.toStdString());
        }
        if (list.empty()) list.emplace_back();
        method_.*member = std::move(list);
        edited();
        return {};
    };
}

void MethodPage::addMatrixRows() {
    form_->addHeading(tr("Matrix"));
    const auto list = [this](std::vector<Millimetre> SurveyMethod::*member) {
        return [this, member] { return text(lengthsText(method_.*member, session_.unit())); };
    };
    form_
        ->addText(tr("heights"), list(&SurveyMethod::heights), lengths(&SurveyMethod::heights),
                  tr("12, 15, 18 or 12–30 by 3"))
        ->setObjectName(QStringLiteral("planHeights"));
    form_->addText(tr("depths"), list(&SurveyMethod::depths), lengths(&SurveyMethod::depths))
        ->setObjectName(QStringLiteral("planDepths"));
    form_
        ->addText(
            tr("grid"), [this] { return QStringLiteral("%1 × %2").arg(method_.columns).arg(method_.rows); },
            [this](const QString& typed) -> QString {
                const auto counts = parseCounts(typed.toStdString(), 60);
                if (!counts) return tr("A grid is columns × rows, 1 to 60 each, such as 6 × 6.");
                auto changed = method_;
                changed.columns = counts->first;
                changed.rows = counts->second;
                method_ = changed;
                edited();
                return {};
            })
        ->setObjectName(QStringLiteral("planGrid"));
    form_->addText(
        tr("or spots"), [this] { return spotsText(method_.spots, session_.unit()); },
        [this](const QString& typed) -> QString {
            auto spots = parseSpots(typed, session_.unit());
            if (!spots) return tr("A spot is a name, then from left × from front: reef top 30 × 22.");
            method_.spots = std::move(*spots);
            edited();
            return {};
        },
        tr("name x × y; name x × y"));
}

void MethodPage::addVariationRows() {
    form_->addHeading(tr("And for each of these"));
    form_->addText(
        tr("channel mixes"), [this] { return joined(method_.presets); }, words(&SurveyMethod::presets));
    form_->addText(
        tr("accessory"), [this] { return joined(method_.accessories); }, words(&SurveyMethod::accessories),
        tr("none; frost diffuser"));
    form_->addText(
        tr("how many hang"), [this] { return QString::number(method_.fixtures); },
        [this](const QString& typed) -> QString {
            bool whole = false;
            const int count = typed.toInt(&whole);
            if (!whole || count < 1 || count > 20) return tr("1 to 20 fixtures may hang.");
            method_.fixtures = count;
            if (count < 2) method_.spreads.clear();
            edited();
            return {};
        });
    form_->addText(
        tr("outer two apart"), [this] { return text(lengthsText(method_.spreads, session_.unit())); },
        lengths(&SurveyMethod::spreads), tr("by equal division"));
    form_->addChoice(
        tr("water"), {tr("still, pumps off"), tr("moving"), tr("none: in air")},
        [this] { return static_cast<int>(method_.water); },
        [this](int index) {
            method_.water = static_cast<WaterState>(index);
            edited();
            return QString();
        });
}

const Fixture* MethodPage::fixture() const { return byId(session_.bench().fixtures, fixture_); }
const Tank* MethodPage::tank() const { return byId(session_.bench().tanks, tank_); }

SurveySubject MethodPage::subject() const {
    SurveySubject subject;
    if (fixture_ != 0) subject.fixtures.push_back(fixture_);
    if (second_ != 0 && second_ != fixture_) subject.fixtures.push_back(second_);
    subject.tank = tank_;
    subject.meter = meter_;
    return subject;
}

void MethodPage::refresh() {
    const auto& bench = session_.bench();
    const auto keepOr = [](Id& id, const auto& items, Id otherwise) {
        if (byId(items, id) == nullptr) id = otherwise;
    };
    const auto configuration =
        session_.sweep() == nullptr ? Configuration{} : session_.sweep()->configuration;
    keepOr(fixture_, bench.fixtures,
           configuration.fixture != 0 ? configuration.fixture
                                      : (bench.fixtures.empty() ? 0 : bench.fixtures.front().id));
    keepOr(tank_, bench.tanks,
           configuration.tank != 0 ? configuration.tank : (bench.tanks.empty() ? 0 : bench.tanks.front().id));
    if (byId(bench.meters, meter_) == nullptr)
        meter_ = configuration.meter != 0 ? configuration.meter
                                          : (bench.meters.empty() ? 0 : bench.meters.front().id);
    offer(fixtures_, bench.fixtures);
    offer(seconds_, bench.fixtures, tr("no other"));
    offer(tanks_, bench.tanks);
    offer(meters_, bench.meters, tr("not recorded"));
    offerMethods();
    form_->refresh();
    preview();
}

void MethodPage::offerMethods() {
    ready_ = readyMethods(tank() == nullptr ? Tank{} : *tank(), fixture() == nullptr ? Fixture{} : *fixture(),
                          session_.bench().accessories);
    methods_->clear();
    for (const auto& method : ready_) methods_->addItem(text(method.name));
    if (!own_.empty()) methods_->insertSeparator(methods_->count());
    for (const auto& method : own_) methods_->addItem(text(method.name));
    if (method_.name.empty()) method_ = firstWithWork();
    methods_->setCurrentIndex(qMax(0, methods_->findText(text(method_.name))));
    purpose_->setText(QCoreApplication::translate("Core", method_.purpose.c_str()));
    remove_->setVisible(
        std::any_of(own_.begin(), own_.end(), [&](const SurveyMethod& m) { return m.name == method_.name; }));
}

/// The first ready method that would add anything.
const SurveyMethod& MethodPage::firstWithWork() const {
    for (const auto& method : ready_)
        if (const auto runs = plannedRuns(session_.bench(), method, subject()); runs && !runs->runs.empty())
            return method;
    return ready_.front();
}

void MethodPage::choose(int index) {
    const QString name = methods_->itemText(index);
    for (const auto* list : {&own_, &ready_})
        for (const auto& method : *list)
            if (text(method.name) == name) method_ = method;
    methods_->setCurrentIndex(index);
    edited();
}

void MethodPage::edited() {
    purpose_->setText(QCoreApplication::translate("Core", method_.purpose.c_str()));
    remove_->setVisible(
        std::any_of(own_.begin(), own_.end(), [&](const SurveyMethod& m) { return m.name == method_.name; }));
    form_->refresh();
    preview();
}

void MethodPage::preview() {
    const auto runs = plannedRuns(session_.bench(), method_, subject());
    PlanData plan;
    if (const auto* over = tank()) {
        plan.length = over->length;
        plan.width = over->width;
        plan.walls = over->walls;
        plan.obstacles = over->obstacles;
    }
    fault_->setText(runs ? QString() : text(runs.error()) + QLatin1Char('.'));
    Bench blank = session_.bench();
    blank.runs.clear();
    if (const auto all = plannedRuns(blank, method_, subject()); all && !all->runs.empty()) {
        plan.grid = *all->runs.front().planes.front().grid;
        plan.values.assign(static_cast<std::size_t>(plan.grid.cells()), std::nullopt);
        plan.way = wayOf(blank, all->runs.front(), all->runs.front().planes.front());
        plan.route = true;
    }
    map_->setPlan(plan, session_.palette());
    add_->setEnabled(runs && !runs->runs.empty());
    if (!runs || runs->runs.empty()) {
        count_->setText(runs ? tr("All of it is planned already") : tr("Nothing to plan yet"));
        time_->clear();
        add_->setText(tr("Add the runs"));
        return;
    }
    const auto pace = paceOf(session_.bench());
    const auto time = estimateOf(runs->runs, pace);
    count_->setText(tr("%1 runs, %2 points").arg(time.runs).arg(time.points));
    const QString quick = text(durationText(time.quick));
    const QString slow = text(durationText(time.slow));
    QString about =
        (pace.points_timed > 0 ? tr("About %1 at your pace of %2 s a point.")
                               : tr("About %1 at a usual pace of %2 s a point; yours is taken once you "
                                    "have read some."))
            .arg(text(durationText(time.usual)))
            .arg(pace.point.value(), 0, 'f', 0);
    if (quick != slow) about += tr(" Between %1 and %2.").arg(quick, slow);
    time_->setText(about);
    add_->setText(tr("Add these %1 runs").arg(time.runs));
}

void MethodPage::addRuns() {
    if (session_.project() == nullptr) return session_.warn(tr("Open or make a project first."));
    const auto runs = plannedRuns(session_.bench(), method_, subject());
    if (!runs) return session_.warn(text(runs.error()));
    if (runs->runs.empty()) return session_.say(tr("All of it is planned already."));
    Id first = 0;
    const QString fault = session_.edit([&](Project& project) {
        const auto done = project.addRuns(*runs, tr("plan: %1").arg(text(method_.name)));
        first = done.value_or(0);
        return done;
    });
    if (!fault.isEmpty()) return;
    session_.chooseRun(first);
    session_.say(tr("%1 runs planned; Ctrl+Z takes them back.").arg(runs->runs.size()));
    emit runsAdded();
}

void MethodPage::keepMethod() {
    const QString name = QInputDialog::getText(this, tr("Keep as my method"), tr("Name"), QLineEdit::Normal,
                                               tr("My %1").arg(text(method_.name).toLower()))
                             .trimmed();
    if (name.isEmpty()) return;
    auto kept = method_;
    kept.name = name.toStdString();
    if (const auto wrong = kept.invalid()) return session_.warn(text(*wrong));
    const auto same = [&](const SurveyMethod& m) { return m.name == kept.name; };
    if (std::any_of(ready_.begin(), ready_.end(), same))
        return session_.warn(tr("A ready method has that name already."));
    auto own = own_;
    std::erase_if(own, same);
    own.push_back(kept);
    const auto saved = store_.save(own);
    if (!saved) return session_.warn(text(saved.error()));
    own_ = std::move(own);
    method_ = kept;
    offerMethods();
    session_.say(tr("%1 is kept for every project.").arg(name));
}

void MethodPage::removeMethod() {
    auto own = own_;
    std::erase_if(own, [&](const SurveyMethod& m) { return m.name == method_.name; });
    const auto saved = store_.save(own);
    if (!saved) return session_.warn(text(saved.error()));
    own_ = std::move(own);
    method_ = ready_.front();
    offerMethods();
    edited();
}

}  // namespace glumet
