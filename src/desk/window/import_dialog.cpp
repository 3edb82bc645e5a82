#include "desk/window/import_dialog.h"

#include <QFileInfo>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <set>

#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kPreviewRows = 200;
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

std::optional<Millimetre> lengthIn(const QLineEdit* edit, LengthUnit unit) {
    return edit == nullptr ? std::nullopt : parseLength(edit->text().toStdString(), unit);
}

}  // namespace

ImportDialog::ImportDialog(Session& session, const QString& name, const QByteArray& bytes, QWidget* parent)
    : ScrolledDialog(parent, {760, 560}),
      session_(session),
      name_(name),
      understood_(makeLabel({}, TextRole::Body)),
      preview_(new QTableWidget),
      problems_(new QPlainTextEdit),
      sound_only_(new QPushButton(tr("Leave the bad rows out"))),
      import_(new QPushButton(tr("Import"))) {
    setWindowTitle(tr("Import %1").arg(name));
    understand(bytes);
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 18, 22, 10);
    layout->setSpacing(10);
    layout->addWidget(makeLabel(tr("What %1 says").arg(name), TextRole::Title));
    understood_->setObjectName(QStringLiteral("understood"));
    understood_->setWordWrap(true);
    layout->addWidget(understood_);
    if (is_sheet_) layout->addWidget(makeQuestions());
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

void ImportDialog::understand(const QByteArray& bytes) {
    auto split = splitDelimited(std::string_view(bytes.constData(), static_cast<std::size_t>(bytes.size())));
    if (!split) {
        table_.problems.push_back(split.error());
        return;
    }
    text_ = std::move(*split);
    is_sheet_ = !looksLikeReadings(text_);
    if (is_sheet_)
        sheet_ = readPlaneSheet(text_, session_.unit());
    else
        table_ = readReadings(text_);
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
    tank_ = new QComboBox;
    tank_->addItem(tr("not described"));
    for (const auto& tank : bench.tanks) tank_->addItem(text(tank.name));
    tank_->setCurrentIndex(bench.tanks.empty() ? 0 : 1);
    tank_->setAccessibleName(tr("tank"));
    tank_->setObjectName(QStringLiteral("askTank"));
    top_row_ = new QComboBox;
    top_row_->addItems({tr("top row is the back"), tr("top row is the front")});
    top_row_->setAccessibleName(tr("order of rows"));
    grid->addWidget(makeLabel(tr("tank, fills the grid"), TextRole::Muted), 3, 0);
    grid->addWidget(tank_, 3, 1);
    grid->addWidget(makeLabel(tr("order of rows"), TextRole::Muted), 3, 2);
    grid->addWidget(top_row_, 3, 3);
    connect(tank_, &QComboBox::currentIndexChanged, this, &ImportDialog::check);
    connect(top_row_, &QComboBox::currentIndexChanged, this, &ImportDialog::check);
    return holder;
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

Checked<std::vector<ReadingRow>> ImportDialog::rows() const {
    if (is_sheet_) return rowsOfSheet(sheet_, answers());
    if (!table_.problems.empty() && !(only_sound_ && !table_.rows.empty()))
        return tl::make_unexpected(table_.problems);
    if (table_.rows.empty())
        return tl::make_unexpected(std::vector<Problem>{{"", asWords(tr("The file holds no reading."))}});
    return table_.rows;
}

QString ImportDialog::understoodSentence() const {
    const QString marks =
        tr("Columns parted by %1, numbers with a decimal %2.")
            .arg(delimiterWord(text_.delimiter), text_.decimal_comma ? tr("comma") : tr("dot"));
    if (is_sheet_) {
        int points = 0;
        for (const auto& block : sheet_.blocks)
            points += static_cast<int>(block.rows.size()) * block.columns();
        return tr("A sheet of %1 planes, %2 points. %3").arg(sheet_.blocks.size()).arg(points).arg(marks);
    }
    std::set<std::string> runs;
    std::set<std::string> fixtures;
    for (const auto& row : table_.rows) {
        runs.insert(row.run.label);
        fixtures.insert(row.fixture);
    }
    QString sentence = tr("%1 readings in %2 runs of %3 fixtures. %4")
                           .arg(table_.rows.size())
                           .arg(runs.size())
                           .arg(fixtures.size())
                           .arg(marks);
    if (!table_.unknown_columns.empty())
        sentence += tr(" Kept as they are: %1 more columns.").arg(table_.unknown_columns.size());
    return sentence;
}

void ImportDialog::check() {
    const auto checked = rows();
    understood_->setText(understoodSentence());
    sound_only_->setVisible(!is_sheet_ && !table_.problems.empty() && !table_.rows.empty());
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
    import_->setText(checked ? tr("Import %1 readings").arg(checked->size()) : tr("Import"));
    if (checked)
        showPreview(*checked);
    else if (is_sheet_)
        showBlocks();
    else
        showPreview(table_.rows);
}

void ImportDialog::showBlocks() {
    const QStringList heads{tr("line"), tr("title"), tr("height"), tr("depth"), tr("columns × rows")};
    preview_->setColumnCount(static_cast<int>(heads.size()));
    preview_->setHorizontalHeaderLabels(heads);
    preview_->setRowCount(static_cast<int>(sheet_.blocks.size()));
    int row = 0;
    for (const auto& block : sheet_.blocks) {
        const QStringList cells{QString::number(block.line), text(block.title),
                                block.height ? session_.length(*block.height) : tr("?"),
                                block.depth ? session_.length(*block.depth) : tr("?"),
                                QStringLiteral("%1 × %2").arg(block.columns()).arg(block.rows.size())};
        for (int column = 0; column < cells.size(); ++column)
            preview_->setItem(row, column, new QTableWidgetItem(cells[column]));
        ++row;
    }
    preview_->resizeColumnsToContents();
}

void ImportDialog::showPreview(const std::vector<ReadingRow>& rows) {
    const QStringList heads{tr("run"), tr("fixture"), tr("height"), tr("depth"),
                            tr("x"),   tr("y"),       tr("PPFD"),   tr("flag")};
    preview_->setColumnCount(static_cast<int>(heads.size()));
    preview_->setHorizontalHeaderLabels(heads);
    preview_->setRowCount(qMin(kPreviewRows, static_cast<int>(rows.size())));
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
        for (int column = 0; column < cells.size(); ++column)
            preview_->setItem(i, column, new QTableWidgetItem(cells[column]));
    }
    preview_->resizeColumnsToContents();
}

void ImportDialog::import() {
    const auto checked = rows();
    if (!checked) return;
    MergeReport report;
    const QString fault = session_.edit([&](Project& project) {
        auto done = project.importRows(*checked, name_);
        if (done) report = *done;
        return done;
    });
    if (!fault.isEmpty()) {
        problems_->setPlainText(fault);
        problems_->show();
        return;
    }
    QString sentence = tr("%1 readings imported").arg(report.added);
    if (report.already_there > 0) sentence += tr(", %1 were there already").arg(report.already_there);
    if (report.superseding > 0) sentence += tr(", %1 replace an earlier value").arg(report.superseding);
    session_.say(sentence);
    accept();
}

}  // namespace glumet
