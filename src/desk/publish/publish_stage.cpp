#include "desk/publish/publish_stage.h"

#include <QDir>
#include <QFile>
#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QShortcut>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>

#include "core/survey/findings.h"
#include "core/words/finding.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "files/file_writer.h"
#include "report/review/sections.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kWordsHeight = 84;
constexpr int kFixturesHeight = 118;
constexpr std::size_t kChangesShown = 3;
constexpr int kRunRole = Qt::UserRole;

/// Where what a section shows comes from.
EvidenceView sourceOf(ReviewSection section) {
    switch (section) {
        case ReviewSection::Field:
            return EvidenceView::Field;
        case ReviewSection::Height:
        case ReviewSection::Short:
        case ReviewSection::Card:
            return EvidenceView::Height;
        case ReviewSection::Arrays:
            return EvidenceView::Array;
        case ReviewSection::Spectrum:
            return EvidenceView::Spectrum;
        case ReviewSection::Cost:
        case ReviewSection::Shadow:
            return EvidenceView::Bench;
        case ReviewSection::Compare:
        case ReviewSection::Change:
        case ReviewSection::Rubric:
            return EvidenceView::Compare;
        case ReviewSection::Method:
            return EvidenceView::Plan;
        case ReviewSection::Doubts:
            return EvidenceView::Field;
        default:
            return EvidenceView::None;
    }
}

/// Another form's sections with the words that were written already.
ReviewTemplate withWordsOf(ReviewTemplate form, const ReviewTemplate& now) {
    form.opening = now.opening;
    for (auto& part : form.parts)
        for (const auto& known : now.parts)
            if (known.section == part.section) part.words = known.words;
    return form;
}

bool sameSections(const ReviewTemplate& a, const ReviewTemplate& b) {
    return std::equal(
        a.parts.begin(), a.parts.end(), b.parts.begin(), b.parts.end(),
        [](const auto& x, const auto& y) { return x.section == y.section && x.shown == y.shown; });
}

}  // namespace

PublishStage::PublishStage(Session& session)
    : Stage(session),
      title_(makeLabel({}, TextRole::Title)),
      publish_(new QPushButton(tr("Publish to a folder…"))),
      reviewer_(new QLineEdit),
      licence_(new QComboBox),
      nothing_(makeLabel({}, TextRole::Muted)),
      view_(new PagesView),
      words_of_(makeLabel({}, TextRole::Muted)),
      words_(new QPlainTextEdit),
      figures_(new QComboBox),
      parts_(new PartsList),
      fixtures_(new QListWidget),
      forms_(new QComboBox) {
    publish_->setProperty("primary", true);
    publish_->setObjectName(QStringLiteral("publishButton"));
    nothing_->setObjectName(QStringLiteral("publishNothing"));
    nothing_->setWordWrap(true);
    nothing_->setAlignment(Qt::AlignCenter);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 12, 20, 12);
    layout->setSpacing(8);
    auto* head = new QHBoxLayout;
    head->addWidget(title_, 1);
    head->addWidget(publish_);
    layout->addLayout(head);
    layout->addWidget(makeSignature());
    layout->addWidget(nothing_, 1);
    layout->addWidget(view_, 1);
    layout->addWidget(makeWords());
    makeSide();
    connect(publish_, &QPushButton::clicked, this, &PublishStage::askAndPublish);
    connect(&session, &Session::settling, this, &PublishStage::keepWords);
    connect(&session, &Session::fitProgressed, this, [this] {
        if (isVisible() && busy()) title_->setText(tr("Being laid out … %1").arg(this->session().progress()));
    });
}

PublishStage::~PublishStage() { delete side_; }

void PublishStage::makeSide() {
    side_ = new QWidget;
    auto* layout = new QVBoxLayout(side_);
    layout->setContentsMargins(12, 12, 8, 12);
    layout->setSpacing(4);
    layout->addWidget(makeLabel(tr("What goes in, in this order"), TextRole::Muted));
    layout->addWidget(parts_, 1);
    layout->addWidget(makeLabel(tr("Of which fixtures"), TextRole::Muted));
    fixtures_->setObjectName(QStringLiteral("reviewFixtures"));
    fixtures_->setAccessibleName(tr("Fixtures in the review"));
    fixtures_->setFixedHeight(kFixturesHeight);
    fixtures_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    fixtures_->setToolTip(tr("None ticked: the one that is looked at"));
    layout->addWidget(fixtures_);
    auto* row = new QHBoxLayout;
    row->addWidget(makeLabel(tr("Form"), TextRole::Muted));
    forms_->setObjectName(QStringLiteral("reviewForm"));
    forms_->setAccessibleName(tr("Form of the review"));
    row->addWidget(forms_, 1);
    layout->addLayout(row);
    connect(parts_, &PartsList::partsChanged, this, [this] {
        auto sections = this->sections();
        sections.parts = parts_->parts();
        keepSections(sections);
    });
    connect(parts_, &QListWidget::currentRowChanged, this, [this] {
        keepWords();
        showWords();
        showPlaceOfPart();
    });
    connect(fixtures_, &QListWidget::itemChanged, this, &PublishStage::chooseFixture);
    connect(forms_, &QComboBox::activated, this, &PublishStage::chooseForm);
}

/// Who publishes, and what others may do with the data.
QWidget* PublishStage::makeSignature() {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    reviewer_->setObjectName(QStringLiteral("publishReviewer"));
    reviewer_->setAccessibleName(tr("Published by"));
    reviewer_->setPlaceholderText(tr("your name"));
    licence_->setObjectName(QStringLiteral("publishLicence"));
    licence_->setAccessibleName(tr("Licence of the data"));
    licence_->setEditable(true);
    licence_->addItems({QString(), QStringLiteral("CC-BY-4.0"), QStringLiteral("CC-BY-SA-4.0"),
                        QStringLiteral("CC0-1.0"), QStringLiteral("ODbL-1.0")});
    layout->addWidget(makeLabel(tr("published by"), TextRole::Muted));
    layout->addWidget(reviewer_, 1);
    layout->addSpacing(12);
    layout->addWidget(makeLabel(tr("licence of the data"), TextRole::Muted));
    layout->addWidget(licence_, 1);
    connect(reviewer_, &QLineEdit::editingFinished, this, &PublishStage::keepSignature);
    connect(licence_, &QComboBox::activated, this, &PublishStage::keepSignature);
    connect(licence_->lineEdit(), &QLineEdit::editingFinished, this, &PublishStage::keepSignature);
    return row;
}

/// The reviewer's own words under the heading of the section that is chosen.
QWidget* PublishStage::makeWords() {
    auto* box = new QWidget;
    auto* layout = new QVBoxLayout(box);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(4);
    auto* head = new QHBoxLayout;
    words_of_->setObjectName(QStringLiteral("reviewWordsOf"));
    head->addWidget(words_of_, 1);
    figures_->setObjectName(QStringLiteral("reviewFigures"));
    figures_->setAccessibleName(tr("Insert a figure of the project"));
    head->addWidget(figures_);
    layout->addLayout(head);
    words_->setObjectName(QStringLiteral("reviewWords"));
    words_->setAccessibleName(tr("Your own words for this section"));
    words_->setPlaceholderText(
        tr("Your own words, in Markdown. They stand under the section's heading; Ctrl+Return "
           "shows them on the page."));
    words_->setTabChangesFocus(true);
    words_->setFixedHeight(kWordsHeight);
    layout->addWidget(words_);
    for (const auto key : {Qt::Key_Return, Qt::Key_Enter}) {
        auto* shown =
            new QShortcut(QKeySequence(Qt::CTRL | key), words_, nullptr, nullptr, Qt::WidgetShortcut);
        connect(shown, &QShortcut::activated, this, &PublishStage::keepWords);
    }
    connect(figures_, &QComboBox::activated, this, &PublishStage::insertFigure);
    return box;
}

// What is stored.

ReviewTemplate PublishStage::sections() const { return templateOr(session().bench().method.review); }

void PublishStage::keepSections(const ReviewTemplate& sections) {
    if (session().project() == nullptr || sections == this->sections()) return;
    const auto stored = textOf(sections);
    session().changeMethod([&](Method& method) { method.review = stored; });
}

void PublishStage::keepWords() {
    if (!words_->document()->isModified()) return;
    words_->document()->setModified(false);
    auto sections = this->sections();
    const auto typed = words_->toPlainText().trimmed().toStdString();
    if (!words_part_) sections.opening = typed;
    for (auto& part : sections.parts)
        if (words_part_ == part.section) part.words = typed;
    // A line that stands for a section would be one: as words it is indented.
    keepSections(templateOr(textOf(sections)));
}

void PublishStage::keepSignature() {
    if (session().project() == nullptr) return;
    const auto reviewer = reviewer_->text().trimmed().toStdString();
    const auto licence = licence_->currentText().trimmed().toStdString();
    const auto& method = session().bench().method;
    if (method.reviewer == reviewer && method.licence == licence) return;
    session().changeMethod([&](Method& changed) {
        changed.reviewer = reviewer;
        changed.licence = licence;
    });
}

void PublishStage::chooseFixture(QListWidgetItem* item) {
    const Id first = item->data(kRunRole).toLongLong();
    for (const auto& sweep : session().sweeps()) {
        if (sweep.runs.front() != first) continue;
        const bool in = item->checkState() == Qt::Checked;
        session().edit([&](Project& project) { return project.markForReview(sweep.runs, in); });
        return;
    }
}

void PublishStage::chooseForm(int index) {
    const auto& ready = readyTemplates();
    if (index < 0 || index >= static_cast<int>(ready.size())) return;
    session().settle();
    if (const auto form = parseTemplate(ready[static_cast<std::size_t>(index)].text))
        keepSections(withWordsOf(*form, sections()));
}

void PublishStage::openTemplate(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) return session().warn(tr("%1: %2").arg(path, file.errorString()));
    const auto bytes = file.read(static_cast<qint64>(limits::kTextBytes) + 1);
    if (static_cast<std::size_t>(bytes.size()) > limits::kTextBytes)
        return session().warn(tr("%1 is too large for a template.").arg(path));
    const auto form = parseTemplate(bytes.toStdString());
    if (!form) return session().warn(tr("%1, %2").arg(QFileInfo(path).fileName(), text(form.error())));
    session().settle();
    keepSections(*form);
}

void PublishStage::saveTemplate(const QString& path) {
    session().settle();
    const auto done = writeWhole(path, QByteArray::fromStdString(textOf(sections())));
    if (!done) return session().warn(text(done.error()));
    session().say(tr("The form lies in %1").arg(path));
}

void PublishStage::askForTemplate() {
    if (session().project() == nullptr) return session().warn(tr("Open or make a project first."));
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Open a form of review"), {}, tr("Markdown (*.md)"));
    if (!path.isEmpty()) openTemplate(path);
}

void PublishStage::askWhereToSaveTemplate() {
    if (session().project() == nullptr) return session().warn(tr("Open or make a project first."));
    const QString path = QFileDialog::getSaveFileName(this, tr("Save the form of this review"),
                                                      QStringLiteral("review.md"), tr("Markdown (*.md)"));
    if (!path.isEmpty()) saveTemplate(path);
}

// What is asked.

std::vector<Configuration> PublishStage::configurations() const {
    auto chosen = chosenForReview(session().bench());
    if (chosen.empty() && session().sweep() != nullptr) chosen.push_back(session().sweep()->configuration);
    return chosen;
}

PublicationQuestion PublishStage::question() const {
    PublicationQuestion question;
    question.configurations = configurations();
    question.sections = sections();
    question.unit = session().unit();
    question.day = session().now().left(10);
    return question;
}

AnswerKey PublishStage::key(const char* asked) const {
    AnswerKey key{asked};
    if (const auto of = configurations(); !of.empty()) key.of = of.front();
    return key;
}

Revision PublishStage::revision() const {
    auto revision = session().revision(static_cast<std::int64_t>(session().unit()) +
                                       static_cast<std::int64_t>(qHash(folder_) & 0xffffffU) * 8 +
                                       written_ * (1LL << 32U));
    revision.fits = 0;  // those that are needed are made along with the pages
    return revision;
}

void PublishStage::askPages() {
    auto& answers = session().answers();
    if (answers.wanted(key("pages"), revision())) return;
    auto question = this->question();
    if (!folder_.isEmpty())
        if (auto last = editionIn(folder_)) question.last = std::move(*last);
    answers.want<ReadyPages>(key("pages"), revision(), true,
                             [bench = std::make_shared<const Bench>(session().bench()), question](
                                 const Asked& asked) { return pagesInBackground(bench, question, asked); });
}

const ReadyPages* PublishStage::pages() const {
    return session().project() == nullptr ? nullptr : session().answers().value<ReadyPages>(key("pages"));
}

bool PublishStage::busy() const {
    return session().answers().busy(std::string("pages")) || session().answers().busy(std::string("publish"));
}

void PublishStage::publishInto(const QString& folder) {
    session().settle();
    if (configurations().empty()) return session().warn(tr("There is nothing to publish yet."));
    ++written_;
    folder_ = folder;
    session().answers().want<WrittenEdition>(
        key("publish"), revision(), true,
        [bench = std::make_shared<const Bench>(session().bench()), question = question(),
         folder](const Asked& asked) { return publishInBackground(bench, question, folder, asked); });
    emit viewChanged();
}

void PublishStage::takeWritten() {
    const auto serial = session().answers().serialOf(std::string("publish"));
    if (serial == told_ || session().answers().busy(std::string("publish"))) return;
    told_ = serial;
    if (const auto* failure = session().answers().failure(key("publish")))
        return session().warn(text(*failure));
    const auto* written = session().answers().value<WrittenEdition>(key("publish"));
    if (written != nullptr)
        session().say(tr("Edition %1: %2 files in %3")
                          .arg(written->edition.number)
                          .arg(written->files.size())
                          .arg(written->folder));
}

void PublishStage::askAndPublish() {
    const QString beside = folder_.isEmpty() ? QFileInfo(project_).absolutePath() : folder_;
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Publish to a folder"), beside);
    if (!folder.isEmpty()) publishInto(folder);
}

// What is shown.

void PublishStage::refresh() {
    const QString project = session().project() == nullptr ? QString() : session().project()->path();
    if (project != project_) {
        project_ = project;
        folder_.clear();
        words_->document()->setModified(false);
    }
    const auto& method = session().bench().method;
    if (!reviewer_->hasFocus()) reviewer_->setText(text(method.reviewer));
    if (!licence_->hasFocus() && !licence_->lineEdit()->hasFocus())
        licence_->setCurrentText(text(method.licence));
    const bool any = session().sweep() != nullptr;
    if (any) {
        takeWritten();
        askPages();
    }
    const auto* now = any ? pages() : nullptr;
    const auto* failure = any ? session().answers().failure(key("pages")) : nullptr;
    if (failure != nullptr) now = nullptr;
    publish_->setEnabled(any && failure == nullptr);
    view_->setVisible(now != nullptr);
    nothing_->setVisible(now == nullptr);
    if (now == nullptr)
        nothing_->setText(failure != nullptr ? text(*failure)
                          : any              ? tr("Being laid out …")
                                             : tr("There is nothing to publish yet."));
    view_->setPages(now == nullptr ? QByteArray() : now->pdf.bytes, colours());
    title_->setText(now == nullptr ? tr("The review")
                    : busy()       ? tr("Being laid out … %1").arg(session().progress())
                                   : tr("The review, %n page(s)", nullptr, view_->pages()));
    parts_->setParts(sections().parts, now == nullptr ? std::vector<SectionStanding>() : now->laid.standings,
                     colours());
    for (QWidget* one :
         {static_cast<QWidget*>(parts_), static_cast<QWidget*>(fixtures_), static_cast<QWidget*>(forms_),
          static_cast<QWidget*>(words_), static_cast<QWidget*>(figures_)})
        one->setEnabled(session().project() != nullptr);
    showFixtures();
    showForms();
    showWords();
}

void PublishStage::showFixtures() {
    const QSignalBlocker quiet(fixtures_);
    const int row = fixtures_->currentRow();
    fixtures_->clear();
    for (const auto& sweep : session().sweeps()) {
        if (!anyReading(session().bench(), sweep)) continue;
        auto* item =
            new QListWidgetItem(text(configurationName(session().bench(), sweep.configuration)), fixtures_);
        item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        item->setToolTip(item->text());
        item->setData(kRunRole, static_cast<qlonglong>(sweep.runs.front()));
        const bool in = std::any_of(sweep.runs.begin(), sweep.runs.end(),
                                    [&](Id run) { return session().bench().run(run).in_review; });
        item->setCheckState(in ? Qt::Checked : Qt::Unchecked);
    }
    fixtures_->setCurrentRow(row);
}

void PublishStage::showForms() {
    const QSignalBlocker quiet(forms_);
    forms_->clear();
    const auto now = sections();
    int same = -1;
    for (const auto& ready : readyTemplates()) {
        forms_->addItem(text(ready.name, session().unit()));
        if (const auto form = parseTemplate(ready.text); form && sameSections(*form, now))
            same = forms_->count() - 1;
    }
    if (same < 0) {
        forms_->addItem(tr("your own"));
        same = forms_->count() - 1;
    }
    forms_->setCurrentIndex(same);
}

void PublishStage::showWords() {
    const auto part = parts_->chosen();
    if (words_->document()->isModified() && part == words_part_) return;  // being typed
    words_part_ = part;
    const auto now = sections();
    std::string words = part ? std::string() : now.opening;
    for (const auto& one : now.parts)
        if (part == one.section) words = one.words;
    words_of_->setText(part ? tr("Your words under \"%1\"").arg(text(titleOf(*part), session().unit()))
                            : tr("Your words at the beginning"));
    if (words_->toPlainText() != text(words)) words_->setPlainText(text(words));
    words_->document()->setModified(false);
    const QSignalBlocker quiet(figures_);
    figures_->clear();
    figures_->addItem(tr("insert a figure"));
    const auto* ready = pages();
    if (ready == nullptr) return;
    const FixtureReview* one =
        ready->publication->fixtures.empty() ? nullptr : &ready->publication->fixtures.front();
    for (const auto& [name, value] :
         ready->publication->namedValues(part && ofEachFixture(*part) ? one : nullptr))
        figures_->addItem(tr("%1: %2").arg(text(name), text(value, session().unit())), text(name));
}

void PublishStage::insertFigure(int index) {
    const QString name = figures_->itemData(index).toString();
    figures_->setCurrentIndex(0);
    if (name.isEmpty()) return;
    words_->insertPlainText(QStringLiteral("{{%1}}").arg(name));
    words_->setFocus();
}

void PublishStage::showPlaceOfPart() {
    const auto* now = pages();
    if (now == nullptr) return;
    const auto part = parts_->chosen();
    if (!part || *part == ReviewSection::Card) return view_->showPlace(0, 0.0);
    for (const auto& mark : now->pdf.marks)
        if (mark.anchor == idOf(*part)) return view_->showPlace(mark.page, mark.y);
}

std::vector<Finding> PublishStage::findings() const {
    const auto* now = session().sweep() == nullptr ? nullptr : pages();
    if (now == nullptr) return benchFindings(session().bench());
    std::vector<Finding> out;
    const auto fact = [&](FindingKind kind, const QString& title, const QString& body, EvidenceView view) {
        out.push_back(finding(kind, asWords(title), asWords(body), view));
    };
    const auto& publication = *now->publication;
    fact(FindingKind::Fact,
         tr("%n card(s), one review, one package", nullptr, static_cast<int>(publication.fixtures.size())),
         tr("HTML and PDF, cards as pictures, figures as SVG and PNG, workbooks, and everything behind them "
            "as an open "
            "data package."),
         EvidenceView::None);
    const auto& edition = publication.edition;
    if (!edition.since.empty()) {
        QStringList changes;
        for (std::size_t i = 0; i < std::min(edition.since.size(), kChangesShown); ++i) {
            const auto& change = edition.since[i];
            changes << tr("%1: %2 instead of %3")
                           .arg(text(change.name), change.now.empty() ? tr("nothing") : text(change.now),
                                change.before.empty() ? tr("nothing") : text(change.before));
        }
        if (edition.since.size() > kChangesShown)
            changes << tr("%1 more").arg(edition.since.size() - kChangesShown);
        fact(FindingKind::Fact, tr("Since edition %1").arg(edition.number - 1),
             changes.join(QStringLiteral("; ")), EvidenceView::None);
    }
    for (const auto& name : now->laid.unknown)
        fact(FindingKind::Doubt, tr("Nothing is called {{%1}}").arg(text(name)),
             tr("The words stand as they were typed; \"insert a figure\" has the names."),
             EvidenceView::None);
    const auto page_of = [&](ReviewSection section) {
        for (const auto& mark : now->pdf.marks)
            if (mark.anchor == idOf(section)) return tr("On page %1.").arg(mark.page + 1);
        return QString();
    };
    QString once = tr(" Readers see them; a check that failed can be commented, not hidden.");
    for (const auto& standing : now->laid.standings) {
        if (standing.doubts == 0) continue;
        const QString title = text(titleOf(standing.section), session().unit());
        fact(FindingKind::Doubt, tr("%1: %n doubt(s) printed", nullptr, standing.doubts).arg(title),
             page_of(standing.section) + once, sourceOf(standing.section));
        once.clear();
    }
    for (const auto& standing : now->laid.standings)
        if (!standing.missing.empty())
            fact(FindingKind::Doubt, tr("%1 is empty").arg(text(titleOf(standing.section), session().unit())),
                 tr("%1. Fill it, or leave the section out.")
                     .arg(text(standing.missing.capitalised(), session().unit())),
                 sourceOf(standing.section));
    if (session().bench().method.licence.empty())
        fact(FindingKind::Doubt, tr("No licence"),
             tr("Without one nobody may use the data: choose what others may do with it."),
             EvidenceView::None);
    fact(FindingKind::Next, tr("Publish"),
         tr("Choose a folder; an edition that lies there is followed by the next."), EvidenceView::None);
    return out;
}

}  // namespace glumet
