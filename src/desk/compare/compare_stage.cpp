#include "desk/compare/compare_stage.h"

#include <QApplication>
#include <QClipboard>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QKeyEvent>
#include <QVBoxLayout>
#include <algorithm>

#include "core/survey/findings.h"
#include "core/words/typed.h"
#include "desk/compare/compare_files.h"
#include "desk/compare/compare_job.h"
#include "desk/compare/shelf_dialog.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kHeightWidth = 74;

}  // namespace

CompareStage::CompareStage(Session& session)
    : Stage(session),
      title_(makeLabel({}, TextRole::Title)),
      answer_(makeLabel({}, TextRole::Muted)),
      nothing_(makeLabel({}, TextRole::Muted)),
      pages_(new QButtonGroup(this)),
      height_(new QLineEdit),
      cards_(new CompareCards),
      alike_(new AlikeView),
      alike_caption_(makeLabel({}, TextRole::Muted)),
      board_(new BoardView),
      more_(quietButton({})),
      pair_(new PairPage(session)),
      costs_(new CostPage(session)),
      scores_(new ScoresPage(session)),
      schools_(new SchoolsPage(session)) {
    layOut();
    connect(cards_, &CompareCards::chosen, this, &CompareStage::choose);
    connect(cards_, &CompareCards::againstChosen, this, &CompareStage::chooseAgainst);
    connect(board_, &BoardView::weightSet, this, &CompareStage::setWeight);
    connect(more_, &QPushButton::clicked, this, &CompareStage::moreCriteria);
    connect(height_, &QLineEdit::editingFinished, this, &CompareStage::setHeight);
    connect(&session, &Session::fitProgressed, this, [this] {
        if (compared() == nullptr && busy())
            showNothing(tr("Being compared … %1").arg(this->session().progress()));
    });
}

void CompareStage::layOut() {
    title_->setObjectName(QStringLiteral("compareAnswer"));
    title_->setWordWrap(true);
    answer_->setObjectName(QStringLiteral("compareHolds"));
    answer_->setWordWrap(true);
    nothing_->setObjectName(QStringLiteral("compareNothing"));
    nothing_->setWordWrap(true);
    nothing_->setAlignment(Qt::AlignCenter);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(6);
    layout->addWidget(title_);
    layout->addWidget(answer_);
    layout->addWidget(makeHead());
    layout->addWidget(nothing_, 1);
    body_ = new QWidget;
    auto* body = new QVBoxLayout(body_);
    body->setContentsMargins(0, 4, 0, 0);
    body->setSpacing(10);
    body->addWidget(cards_);
    addPages();
    scroll_ = new QScrollArea;
    scroll_->setWidget(body_);
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    layout->addWidget(scroll_, 1);
}

QWidget* CompareStage::makeHead() {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    int id = Board;
    for (const auto& [name, letter] : {std::pair{tr("board"), "board"},
                                       {tr("pair"), "pair"},
                                       {tr("cost"), "cost"},
                                       {tr("scores"), "scores"},
                                       {tr("schools"), "schools"}}) {
        auto* button = new QPushButton(name);
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setObjectName(QStringLiteral("page_%1").arg(QLatin1String(letter)));
        button->setChecked(id == Board);
        pages_->addButton(button, id++);
        layout->addWidget(button);
    }
    layout->addStretch(1);
    layout->addWidget(makeLabel(tr("all at"), TextRole::Muted));
    layout->addSpacing(8);
    height_->setObjectName(QStringLiteral("comparedHeight"));
    height_->setAccessibleName(tr("One height for all; empty: each at its own"));
    height_->setPlaceholderText(tr("its own"));
    height_->setToolTip(tr("One height for all; empty: each at the height its school recommends"));
    height_->setFixedWidth(kHeightWidth);
    layout->addWidget(height_);
    connect(pages_, &QButtonGroup::idClicked, this, &CompareStage::viewChanged);
    return row;
}

void CompareStage::addPages() {
    auto* body = body_->layout();
    board_page_ = new QWidget;
    auto* board = new QVBoxLayout(board_page_);
    board->setContentsMargins(0, 0, 0, 0);
    board->setSpacing(4);
    alike_caption_->setWordWrap(true);
    board->addWidget(alike_);
    board->addWidget(alike_caption_);
    board->addSpacing(4);
    board->addWidget(board_);
    more_->setObjectName(QStringLiteral("moreCriteria"));
    board->addWidget(more_, 0, Qt::AlignLeft);
    board->addStretch(1);
    for (QWidget* page : {board_page_, static_cast<QWidget*>(pair_), static_cast<QWidget*>(costs_),
                          static_cast<QWidget*>(scores_), static_cast<QWidget*>(schools_)})
        body->addWidget(page);
}

/// Whatever fits say: those that are needed are made along with the comparison.
Revision CompareStage::revisionNow(bool all_figures) const {
    const auto subject = shelved_.isEmpty() ? 0 : static_cast<std::int64_t>(qHash(shelved_) | 1U);
    auto revision = session().revision(subject, all_figures ? 1 : 0);
    revision.fits = 0;
    return revision;
}

std::shared_ptr<const Bench> CompareStage::benchToCompare() {
    // A shelf's files are hashed when it is looked at: only where something of it is compared.
    if (shelved_.isEmpty()) return std::make_shared<const Bench>(session().bench());
    std::vector<Shelved> shelf;
    for (const auto& entry : shelfEntries(ShelfDialog::place())) {
        if (!shelved_.contains(entry.folder)) continue;
        if (auto shelved = fromShelf(entry))
            shelf.push_back(std::move(*shelved));
        else
            session().warn(text(shelved.error()));
    }
    return std::make_shared<const Bench>(withShelved(session().bench(), std::move(shelf)));
}

void CompareStage::keepOnShelf() {
    if (session().project() == nullptr || session().bench().runs.empty())
        return session().warn(tr("There is nothing to keep on the shelf yet."));
    ShelfEntry about;
    about.title = text(session().bench().title);
    about.from = session().project()->path();
    about.kept = session().now();
    about.own = true;
    const auto kept = glumet::keepOnShelf(ShelfDialog::place(), session().bench(), about);
    if (!kept) return session().warn(text(kept.error()));
    session().say(tr("%1 fixtures lie on the shelf of this machine, as \"%2\".")
                      .arg(kept->fixtures.size())
                      .arg(kept->title));
}

void CompareStage::openShelf() {
    if (session().project() == nullptr) return session().warn(tr("Open or make a project first."));
    ShelfDialog dialog(session(), shelved_, this);
    if (dialog.exec() != QDialog::Accepted) return;
    shelved_ = dialog.chosen();
    emit viewChanged();
}

void CompareStage::ask() {
    auto& answers = session().answers();
    const auto revision = revisionNow(all_criteria_);
    if (answers.wanted(key(), revision)) return;
    CompareQuestion question;
    question.place.height = session().bench().method.compared_height;
    question.all_figures = all_criteria_;
    answers.want<Comparison>(key(), revision, true, [bench = benchToCompare(), question](const Asked& asked) {
        return compareInBackground(bench, question, asked);
    });
}

void CompareStage::askSchools() {
    auto& answers = session().answers();
    const auto* now = compared();
    if (now == nullptr || answers.wanted(schoolsKey(), revisionNow(false))) return;
    answers.want<std::vector<SchoolOrder>>(schoolsKey(), revisionNow(false), true,
                                           [bench = now->bench, place = now->place](const Asked& asked) {
                                               return schoolsInBackground(bench, place, asked);
                                           });
}

void CompareStage::showNothing(const QString& why) {
    waiting_ = true;
    nothing_->setText(why);
    nothing_->show();
    scroll_->hide();
    answer_->clear();
}

void CompareStage::refresh() {
    if (session().project() == nullptr) {
        title_->setText(tr("Side by side"));
        return showNothing(tr("Open or make a project first."));
    }
    ask();
    const auto& method = session().bench().method;
    if (!height_->hasFocus())
        height_->setText(method.compared_height ? session().length(*method.compared_height) : QString());
    const auto* now = compared();
    if (now == nullptr) {
        title_->setText(tr("Side by side"));
        const auto* failure = session().answers().failure(key());
        return showNothing(failure != nullptr ? text(*failure)
                                              : tr("Being compared … %1").arg(session().progress()));
    }
    if (now->judged.size() < 2) {
        title_->setText(tr("Side by side"));
        return showNothing(
            tr("Two fixtures, or one with and without an accessory, read in the same tank, stand "
               "here side by side.\nPlan lays them out, Measure takes them; data of others come by "
               "the shelf (in the list of commands)."));
    }
    nothing_->hide();
    scroll_->show();
    if (pages_->checkedButton()->hasFocus() && waiting_) cards_->setFocus();
    waiting_ = false;
    settlePair(*now);
    const auto answer = now->answer();
    title_->setText(text(answer.title, session().unit()));
    answer_->setText(text(answer.body, session().unit()));
    cards_->setCards(compareCards(*now, session().unit(), chosen_, against_), pages_->checkedId() != Board,
                     colours());
    showPage();
}

/// The window's configuration is the one looked at, where it is among them; what it is compared with stays by
/// its name, else it is the first of the board, or the second.
void CompareStage::settlePair(const Comparison& compared) {
    const auto& judged = compared.judged;
    const auto* sweep = session().sweep();
    chosen_ = std::min(chosen_, judged.size() - 1);
    if (isShelved(judged[chosen_].contender.configuration.fixture))
        sweep = nullptr;  // the window cannot show it
    for (std::size_t i = 0; i < judged.size(); ++i)
        if (sweep != nullptr && !isShelved(judged[i].contender.configuration.fixture) &&
            judged[i].contender.configuration == sweep->configuration)
            chosen_ = i;
    std::optional<std::size_t> other;
    for (std::size_t i = 0; i < judged.size(); ++i)
        if (judged[i].contender.name == against_name_ && i != chosen_) other = i;
    for (const auto at : compared.board.order)
        if (!other && at != chosen_) other = at;
    against_ = other.value_or(chosen_ == 0 ? 1 : 0);
    against_name_ = judged[against_].contender.name;
}

void CompareStage::choose(int contender) {
    const auto* now = compared();
    if (now == nullptr || contender < 0 || contender >= static_cast<int>(now->judged.size())) return;
    const auto& chosen = now->judged[static_cast<std::size_t>(contender)].contender;
    // What was looked at becomes what it is compared with, where they were the same.
    if (chosen.name == against_name_) against_name_ = now->judged[chosen_].contender.name;
    chosen_ = static_cast<std::size_t>(contender);
    if (!isShelved(chosen.configuration.fixture)) {
        session().chooseConfiguration(chosen.configuration);
        session().chooseHeight(chosen.height);
    }
    emit viewChanged();
}

void CompareStage::chooseAgainst(int contender) {
    const auto* now = compared();
    if (now == nullptr || contender < 0 || contender >= static_cast<int>(now->judged.size())) return;
    if (static_cast<std::size_t>(contender) == chosen_)
        contender = (contender + 1) % static_cast<int>(now->judged.size());
    against_name_ = now->judged[static_cast<std::size_t>(contender)].contender.name;
    emit viewChanged();
}

/// The next pair: what it is compared with walks on, past the one that is looked at.
void CompareStage::stepPair() {
    const auto* now = compared();
    if (now == nullptr || now->judged.size() < 2) return;
    auto next = (against_ + 1) % now->judged.size();
    if (next == chosen_) next = (next + 1) % now->judged.size();
    chooseAgainst(static_cast<int>(next));
}

void CompareStage::setWeight(Criterion criterion, int weight) {
    session().changeMethod([&](Method& method) {
        if (method.weights.empty()) method.weights = glumet::readyWeights();
        for (auto& known : method.weights)
            if (known.criterion == criterion) {
                known.weight = weight;
                return;
            }
        method.weights.push_back({criterion, static_cast<double>(weight)});
    });
}

void CompareStage::readyWeights() {
    session().changeMethod([](Method& method) { method.weights.clear(); });
}

/// Beside the tank, for the run that is looked at.
void CompareStage::keepEyeReading() {
    const auto* now = compared();
    if (now == nullptr || now->judged.empty()) return session().warn(tr("There is nothing to compare yet."));
    const auto& contender = now->judged[chosen_].contender;
    if (isShelved(contender.configuration.fixture) || contender.basis != LightBasis::Read)
        return session().warn(tr("%1 was not read here at this height.").arg(text(contender.name)));
    auto run = session().bench().run(contender.run);
    bool given = false;
    const QString typed = QInputDialog::getText(
        this, tr("Read at the viewer's eye"),
        tr("PPFD at a seated viewer's eye, facing the lamp, with %1 %2 above the water; empty: not read.\n"
           "Never look into the emitters while it is read.")
            .arg(text(contender.name), session().length(contender.height)),
        QLineEdit::Normal, run.eye_reading ? text(ppfdFigure(*run.eye_reading)) : QString(), &given);
    if (!given) return;
    const auto value = parseNumber(typed.toStdString());
    if (!typed.trimmed().isEmpty() && (!value || *value < 0.0))
        return session().warn(tr("\"%1\" is not a PPFD of 0 or more.").arg(typed));
    run.eye_reading = typed.trimmed().isEmpty() ? std::nullopt : std::optional(Ppfd(*value));
    session().edit([&](Project& project) { return project.save(run); });
}

void CompareStage::setHeight() {
    const QString typed = height_->text().trimmed();
    std::optional<Millimetre> height;
    if (!typed.isEmpty()) {
        height = parseLength(typed.toStdString(), session().unit());
        if (!height || height->value() <= 0.0)
            return session().warn(tr("\"%1\" is not a height above the water.").arg(typed));
    }
    if (height == session().bench().method.compared_height) return;
    session().changeMethod([&](Method& method) { method.compared_height = height; });
}

void CompareStage::moreCriteria() {
    all_criteria_ = !all_criteria_;
    emit viewChanged();
}

void CompareStage::showBoard(const Comparison& now) {
    const auto table = alikeTable(now, chosen_, against_);
    alike_->setTable(table, session().unit(), colours());
    alike_->setVisible(!table.columns.empty());
    const QString same =
        table.columns.empty()
            ? tr("All %1 conditions are the same for all.").arg(table.same)
            : tr("%1 more are the same for all.  = same  ~ corrected  ○ on purpose  ▲ not comparable")
                  .arg(table.same);
    QStringList caption{same};
    if (table.alike > 0) caption << tr("%1 fixtures differ in nothing.").arg(table.alike);
    if (const auto left_out = now.judged.size() - cards_->cards().size(); left_out > 0)
        caption
            << tr("Shown are the first of the board and the pair; %1 more stand in the table that is copied.")
                   .arg(left_out);
    alike_caption_->setText(caption.join(QStringLiteral("  ")));
    std::vector<QString> names;
    for (const auto& judged : now.judged) names.push_back(text(judged.contender.name));
    auto lines = boardLines(now, chosen_, against_, all_criteria_);
    const auto counting =
        std::count_if(lines.begin(), lines.end(), [](const auto& line) { return line.weight > 0.0; });
    const auto others = static_cast<std::ptrdiff_t>(allCriteria().size()) - counting;
    board_->setLines(std::move(lines), std::move(names), chosen_, against_, colours());
    more_->setText(all_criteria_ ? tr("only what counts") : tr("%1 more that do not count …").arg(others));
}

void CompareStage::showPage() {
    const auto* now = compared();
    const int page = pages_->checkedId();
    const std::array<QWidget*, 5> all{board_page_, pair_, costs_, scores_, schools_};
    for (std::size_t i = 0; i < all.size(); ++i) all[i]->setVisible(static_cast<int>(i) == page);
    if (page == Board) showBoard(*now);
    if (page == Pair) pair_->show(*now, chosen_, against_);
    if (page == Costs) costs_->show(*now, chosen_);
    if (page == Scores) scores_->show(*now, chosen_);
    if (page == Schools) {
        askSchools();
        const bool ready = !session().answers().stale(schoolsKey(), revisionNow(false));
        schools_->show(ready ? session().answers().value<std::vector<SchoolOrder>>(schoolsKey()) : nullptr);
    }
}

std::vector<Finding> CompareStage::findings() const {
    const auto* now = session().project() == nullptr ? nullptr : compared();
    if (now == nullptr || now->judged.size() < 2) return benchFindings(session().bench());
    const auto pair = now->pairOf(against_, chosen_);
    const auto conditions = now->conditions(against_, chosen_);
    return compareFindings(
        now->judged, now->board,
        {&now->judged[against_].contender, &now->judged[chosen_].contender, &pair, &conditions},
        now->ageings);
}

std::vector<QStringList> CompareStage::boardTable(const Comparison& now) const {
    QStringList head{tr("fixture"), tr("height"), tr("place"), tr("from"), tr("to"), tr("not ranked")};
    for (const auto criterion : now.board.criteria) {
        const auto name = text(infoOf(criterion).name, session().unit());
        head << name << tr("low") << tr("high");
    }
    std::vector<QStringList> rows{head};
    for (std::size_t i = 0; i < now.judged.size(); ++i) {
        const auto& row = now.board.rows[i];
        const auto place = [&](int value) { return row.rank == 0 ? QString() : QString::number(value); };
        QStringList cells{text(now.judged[i].contender.name),
                          session().length(now.judged[i].contender.height),
                          place(row.rank),
                          place(row.rank_lo),
                          place(row.rank_hi),
                          text(row.unranked, session().unit())};
        for (const auto& figure : row.figures)
            for (const double value : {figure.value, figure.lo, figure.hi})
                cells << (figure.there ? QString::number(value, 'g', 5) : QString());
        rows.push_back(cells);
    }
    return rows;
}

std::vector<QStringList> CompareStage::tableNow() const {
    switch (pages_->checkedId()) {
        case Pair:
            return pair_->table();
        case Costs:
            return costs_->table();
        case Scores:
            return scores_->table();
        case Schools:
            return schools_->table();
        default:
            return boardTable(*compared());
    }
}

void CompareStage::copyTable() {
    if (compared() == nullptr || compared()->judged.size() < 2)
        return session().warn(tr("There is nothing to copy yet."));
    QApplication::clipboard()->setText(tabbedOf(tableNow()));
    session().say(tr("The table is on the clipboard."));
}

void CompareStage::exportAll() {
    const auto* now = compared();
    if (now == nullptr || now->judged.size() < 2) return session().warn(tr("There is nothing to write yet."));
    const auto folder = QFileDialog::getExistingDirectory(this, tr("A folder for figures and tables"));
    if (folder.isEmpty()) return;
    pair_->show(*now, chosen_, against_);
    costs_->show(*now, chosen_);
    const auto files = compareFiles(*now, session().unit(), chosen_, against_,
                                    {{QStringLiteral("board"), boardTable(*now)},
                                     {QStringLiteral("pair"), pair_->table()},
                                     {QStringLiteral("cost"), costs_->table()},
                                     {QStringLiteral("scores"), scores_->table()}});
    if (const auto done = writeEdition(folder, files); !done) return session().warn(text(done.error()));
    session().say(tr("%1 files were written to %2.").arg(files.size()).arg(folder));
}

void CompareStage::keyPressEvent(QKeyEvent* event) {
    const auto plain = event->modifiers() == Qt::NoModifier;
    const std::array letters{Qt::Key_B, Qt::Key_P, Qt::Key_C, Qt::Key_S, Qt::Key_O};
    for (std::size_t i = 0; plain && i < letters.size(); ++i)
        if (event->key() == letters[i]) {
            pages_->button(static_cast<int>(i))->setChecked(true);
            return emit viewChanged();
        }
    if (plain && event->key() == Qt::Key_N) return stepPair();
    if (plain && event->key() == Qt::Key_M) return moreCriteria();
    Stage::keyPressEvent(event);
}

}  // namespace glumet
