#include "desk/window/import_dialog.h"

#include <QFileInfo>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <set>

#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "formats/ring_csv.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr std::size_t kPreviewRows = 200;
/// By which a table is known; the whole of a large one is read row by row.
constexpr std::size_t kHeadBytes = 65'536;
constexpr int kShownProblems = 100;

QString delimiterWord(char delimiter) {
    switch (delimiter) {
        case ';':
            return ImportDialog::tr("semicolons");
        case '\t':
            return ImportDialog::tr("tabs");
        case ' ':
            return ImportDialog::tr("spaces");
        default:
            return ImportDialog::tr("commas");
    }
}

/// The first lines.
std::string_view headOf(std::string_view text) {
    if (text.size() <= kHeadBytes) return text;
    const auto end = text.rfind('\n', kHeadBytes);
    return end == std::string_view::npos ? text : text.substr(0, end + 1);
}

std::optional<Millimetre> lengthIn(const QLineEdit* edit, LengthUnit unit) {
    return edit == nullptr ? std::nullopt : parseLength(edit->text().toStdString(), unit);
}

}  // namespace

ImportDialog::ImportDialog(Session& session, const QString& name, const QByteArray& bytes, QWidget* parent)
    : ScrolledDialog(parent, {760, 560}),
      session_(session),
      name_(name),
      bytes_(bytes),
      understood_(makeLabel({}, TextRole::Body)),
      preview_(new QTableWidget),
      problems_(new QPlainTextEdit),
      sound_only_(new QPushButton(tr("Leave the bad rows out"))),
      import_(new QPushButton(tr("Import"))) {
    setWindowTitle(tr("Import %1").arg(name));
    understand();
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 18, 22, 10);
    layout->setSpacing(10);
    layout->addWidget(makeLabel(tr("What %1 says").arg(name), TextRole::Title));
    understood_->setObjectName(QStringLiteral("understood"));
    understood_->setWordWrap(true);
    layout->addWidget(understood_);
    if (is_sheet_) layout->addWidget(makeQuestions());
    if (rings_) {
        auto* row = new QHBoxLayout;
        row->addWidget(makeLabel(tr("tank, where not said"), TextRole::Muted));
        row->addWidget(askTank());
        row->addStretch(1);
        layout->addLayout(row);
    }
    preview_->setAccessibleName(tr("Preview"));
    preview_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    preview_->setShowGrid(false);
    preview_->setTabKeyNavigation(false);
    preview_->verticalHeader()->setDefaultSectionSize(22);
    preview_->verticalHeader()->hide();
    layout->addWidget(preview_, 1);
    problems_->setObjectName(QStringLiteral("importProblems"));
    problems_->setAccessibleName(tr("What cannot be taken"));
    problems_->setReadOnly(true);
    problems_->setTabChangesFocus(true);
    problems_->setMaximumHeight(110);
    layout->addWidget(problems_);
    auto* buttons = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    import_->setProperty("primary", true);
    import_->setObjectName(QStringLiteral("importButton"));
    import_->setDefault(true);
    sound_only_->setCheckable(true);
    sound_only_->setObjectName(QStringLiteral("soundRowsOnly"));
    buttons->addWidget(sound_only_);
    buttons->addStretch(1);
    buttons->addWidget(cancel);
    buttons->addWidget(import_);
    addFoot(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(import_, &QPushButton::clicked, this, &ImportDialog::import);
    connect(sound_only_, &QPushButton::toggled, this, [this](bool on) {
        only_sound_ = on;
        check();
    });
    check();
}

void ImportDialog::understand() {
    const std::string_view text(bytes_.constData(), static_cast<std::size_t>(bytes_.size()));
    const auto head = splitDelimited(headOf(text));
    if (head && looksLikeRings(*head)) {
        if (const auto whole = splitDelimited(text))
            understandRings(*whole);
        else
            table_.problems.push_back(whole.error());
        return;
    }
    if (head && looksLikeReadings(*head)) return gather(text);
    auto split = splitDelimited(text);
    if (!split) {
        table_.problems.push_back(split.error());
        return;
    }
    is_sheet_ = !looksLikeReadings(*split);
    if (!is_sheet_) return gather(text);
    separators_ = *split;
    sheet_ = readPlaneSheet(*split, session_.unit());
}

void ImportDialog::understandRings(const DelimitedText& text) {
    rings_ = readRings(text);
    separators_ = *rings_;
    table_.problems = rings_->problems;
    count_ = rings_->means;
}

/// Means in a tank that the file does not name are those of the chosen one.
Bench ImportDialog::ringBench() const {
    auto bench = rings_->bench;
    if (tank_ == nullptr || tank_->currentIndex() == 0) return bench;
    auto tank = session_.bench().tanks[static_cast<std::size_t>(tank_->currentIndex() - 1)];
    tank.id = -1'000'000'000;
    bench.tanks.push_back(tank);
    for (auto& run : bench.runs)
        if (run.tank == 0) run.tank = tank.id;
    return bench;
}

void ImportDialog::gather(std::string_view text) {
    gathering_ = {};
    first_rows_.clear();
    count_ = 0;
    RowMerge merge({}, gathering_);
    table_ = streamReadings(text, [&](ReadingRow&& row) {
        ++count_;
        if (first_rows_.size() < kPreviewRows) first_rows_.push_back(row);
        merge.add(std::move(row));
    });
    separators_ = table_;
    gathered_ = merge.finish();
}

QWidget* ImportDialog::makeQuestions() {
    auto* holder = new QWidget;
    auto* grid = new QGridLayout(holder);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(12);
    const auto ask = [&](int row, int column, const QString& name, const QString& value, const char* object) {
        auto* edit = new QLineEdit(value);
        edit->setObjectName(QLatin1String(object));
        edit->setAccessibleName(name);
        grid->addWidget(makeLabel(name, TextRole::Muted), row, column * 2);
        grid->addWidget(edit, row, column * 2 + 1);
        connect(edit, &QLineEdit::textChanged, this, &ImportDialog::check);
        return edit;
    };
    const auto& bench = session_.bench();
    run_ = ask(0, 0, tr("run"), QFileInfo(name_).completeBaseName(), "askRun");
    fixture_ = ask(0, 1, tr("fixture"),
                   bench.fixtures.empty() ? QString() : text(bench.fixtures.front().name), "askFixture");
    height_ = ask(1, 0, tr("height, where not said"), {}, "askHeight");
    depth_ = ask(1, 1, tr("depth, where not said"), {}, "askDepth");
    pitch_x_ = ask(2, 0, tr("between columns"), {}, "askPitchX");
    pitch_y_ = ask(2, 1, tr("between rows"), {}, "askPitchY");
    top_row_ = new QComboBox;
    top_row_->addItems({tr("top row is the back"), tr("top row is the front")});
    top_row_->setAccessibleName(tr("order of rows"));
    grid->addWidget(makeLabel(tr("tank, fills the grid"), TextRole::Muted), 3, 0);
    grid->addWidget(askTank(), 3, 1);
    grid->addWidget(makeLabel(tr("order of rows"), TextRole::Muted), 3, 2);
    grid->addWidget(top_row_, 3, 3);
    connect(top_row_, &QComboBox::currentIndexChanged, this, &ImportDialog::check);
    return holder;
}

QComboBox* ImportDialog::askTank() {
    const auto& tanks = session_.bench().tanks;
    tank_ = new QComboBox;
    tank_->addItem(tr("not described"));
    for (const auto& tank : tanks) tank_->addItem(text(tank.name));
    tank_->setCurrentIndex(tanks.empty() ? 0 : 1);
    tank_->setAccessibleName(tr("tank"));
    tank_->setObjectName(QStringLiteral("askTank"));
    connect(tank_, &QComboBox::currentIndexChanged, this, &ImportDialog::check);
    return tank_;
}

SheetAnswers ImportDialog::answers() const {
    SheetAnswers answers;
    const auto unit = session_.unit();
    answers.run = run_->text().trimmed().toStdString();
    answers.fixture = fixture_->text().trimmed().toStdString();
    answers.height = lengthIn(height_, unit);
    answers.depth = lengthIn(depth_, unit);
    answers.pitch_x = lengthIn(pitch_x_, unit);
    answers.pitch_y = lengthIn(pitch_y_, unit);
    answers.top_row_is_back = top_row_->currentIndex() == 0;
    if (tank_->currentIndex() > 0) {
        const auto& tank = session_.bench().tanks[static_cast<std::size_t>(tank_->currentIndex() - 1)];
        answers.tank = tank.name;
        answers.length = tank.length;
        answers.width = tank.width;
    }
    return answers;
}

Checked<int> ImportDialog::ready() const {
    if (is_sheet_)
        return sheetRows().map(
            [](const std::vector<ReadingRow>& rows) { return static_cast<int>(rows.size()); });
    if (!table_.problems.empty() && !(only_sound_ && count_ > 0 && !rings_))
        return tl::make_unexpected(table_.problems);
    if (count_ == 0)
        return tl::make_unexpected(std::vector<Problem>{{"", asWords(tr("The file holds no reading."))}});
    return count_;
}

QString ImportDialog::understoodSentence() const {
    const QString marks =
        tr("Columns parted by %1, numbers with a decimal %2.")
            .arg(delimiterWord(separators_.delimiter), separators_.decimal_comma ? tr("comma") : tr("dot"));
    if (is_sheet_) {
        int points = 0;
        for (const auto& block : sheet_.blocks)
            points += static_cast<int>(block.rows.size()) * block.columns();
        return tr("A sheet of %1 planes, %2 points. %3").arg(sheet_.blocks.size()).arg(points).arg(marks);
    }
    if (rings_) {
        std::set<std::string> readers;
        for (const auto& run : rings_->bench.runs) readers.insert(run.read_by);
        QStringList names;
        for (const auto& reader : readers) names << text(reader);
        return tr("%1 means of rings in %2 runs, read by %3. They are fitted as means and stay apart from "
                  "readings of your own. %4")
            .arg(count_)
            .arg(rings_->bench.runs.size())
            .arg(names.join(QStringLiteral(", ")), marks);
    }
    std::set<std::string> runs;
    for (const auto& run : gathered_.runs) runs.insert(run.label);
    QString sentence = tr("%1 readings in %2 runs of %3 fixtures. %4")
                           .arg(count_)
                           .arg(runs.size())
                           .arg(gathered_.fixtures.size())
                           .arg(marks);
    if (!table_.unknown_columns.empty())
        sentence += tr(" Kept as they are: %1 more columns.").arg(table_.unknown_columns.size());
    return sentence;
}

void ImportDialog::check() {
    const auto checked = ready();
    understood_->setText(understoodSentence());
    sound_only_->setVisible(!is_sheet_ && !rings_ && !table_.problems.empty() && count_ > 0);
    import_->setEnabled(checked.has_value());
    QStringList lines;
    const auto& problems = checked ? table_.problems : checked.error();
    for (const auto& problem : problems) {
        if (lines.size() == kShownProblems) {
            lines << tr("and %1 more").arg(problems.size() - kShownProblems);
            break;
        }
        lines << text(problem);
    }
    problems_->setPlainText(lines.join(QLatin1Char('\n')));
    problems_->setVisible(!lines.isEmpty());
    import_->setText(!checked ? tr("Import")
                     : rings_ ? tr("Import %1 means").arg(*checked)
                              : tr("Import %1 readings").arg(*checked));
    if (rings_)
        showMeans();
    else if (!is_sheet_)
        showPreview(first_rows_);
    else if (checked)
        showPreview(*sheetRows());
    else
        showBlocks();
}

void ImportDialog::setHeads(const QStringList& heads, std::size_t rows) {
    preview_->setColumnCount(static_cast<int>(heads.size()));
    preview_->setHorizontalHeaderLabels(heads);
    preview_->setRowCount(static_cast<int>(rows));
}

void ImportDialog::setCells(int row, const QStringList& cells) {
    for (int column = 0; column < cells.size(); ++column)
        preview_->setItem(row, column, new QTableWidgetItem(cells[column]));
}

void ImportDialog::showMeans() {
    std::vector<QStringList> rows;
    for (const auto& run : rings_->bench.runs)
        for (const auto& plane : run.planes)
            for (const auto& mean : plane.means) {
                if (rows.size() == kPreviewRows) break;
                rows.push_back({text(run.label), session_.length(run.height), session_.length(plane.depth),
                                tr("%1 × %2").arg(mean.columns).arg(mean.rows), text(mean.ring.text()),
                                QString::number(mean.ppfd.value()), text(percentText(mean.relative_sd)),
                                text(run.read_by)});
            }
    setHeads(
        {tr("run"), tr("height"), tr("depth"), tr("points"), tr("ring"), tr("PPFD"), tr("±"), tr("read by")},
        rows.size());
    for (std::size_t i = 0; i < rows.size(); ++i) setCells(static_cast<int>(i), rows[i]);
    preview_->resizeColumnsToContents();
}

void ImportDialog::showBlocks() {
    setHeads({tr("line"), tr("title"), tr("height"), tr("depth"), tr("columns × rows")},
             sheet_.blocks.size());
    int row = 0;
    for (const auto& block : sheet_.blocks) {
        const QStringList cells{QString::number(block.line), text(block.title),
                                block.height ? session_.length(*block.height) : tr("?"),
                                block.depth ? session_.length(*block.depth) : tr("?"),
                                QStringLiteral("%1 × %2").arg(block.columns()).arg(block.rows.size())};
        setCells(row++, cells);
    }
    preview_->resizeColumnsToContents();
}

void ImportDialog::showPreview(const std::vector<ReadingRow>& rows) {
    setHeads({tr("run"), tr("fixture"), tr("height"), tr("depth"), tr("x"), tr("y"), tr("PPFD"), tr("flag")},
             std::min(kPreviewRows, rows.size()));
    for (int i = 0; i < preview_->rowCount(); ++i) {
        const auto& row = rows[static_cast<std::size_t>(i)];
        const QStringList cells{text(row.run.label),
                                text(row.fixture),
                                session_.length(row.run.height),
                                session_.length(row.depth),
                                session_.figure(row.reading.x),
                                session_.figure(row.reading.y),
                                QString::number(row.reading.mean.value()),
                                text(row.reading.flag.text())};
        setCells(i, cells);
    }
    preview_->resizeColumnsToContents();
}

Expected<MergeReport> ImportDialog::importInto(Project& project) {
    if (rings_)
        return project.importBench(ringBench(), {}, name_).map([&](MergeReport report) {
            report.added = count_;
            return report;
        });
    if (!is_sheet_) return project.importReadings({}, std::move(gathered_), gathering_, name_);
    return project.importRows(*sheetRows(), name_);
}

void ImportDialog::import() {
    if (!ready()) return;
    MergeReport report;
    const QString fault = session_.edit([&](Project& project) {
        auto done = importInto(project);
        if (done) report = *done;
        return done;
    });
    if (!fault.isEmpty()) {
        // What was gathered is given away; it can be tried again.
        if (!is_sheet_ && !rings_) understand();
        problems_->setPlainText(fault);
        problems_->show();
        return;
    }
    QString sentence = rings_ ? tr("%1 means imported; Field shows their rings").arg(report.added)
                              : tr("%1 readings imported").arg(report.added);
    if (report.already_there > 0) sentence += tr(", %1 were there already").arg(report.already_there);
    if (report.superseding > 0) sentence += tr(", %1 replace an earlier value").arg(report.superseding);
    if (rings_)
        for (const auto& run : session_.bench().runs)
            if (const auto& first = rings_->bench.runs.front();
                run.label == first.label && run.height == first.height && run.read_by == first.read_by)
                session_.chooseRun(run.id);
    session_.say(sentence);
    accept();
}

}  // namespace glumet
