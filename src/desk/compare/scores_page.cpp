#include "desk/compare/scores_page.h"

#include <QBuffer>
#include <QDialog>
#include <QEvent>
#include <QFileDialog>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QImageReader>
#include <QPixmap>
#include <QVBoxLayout>

#include "core/base/limits.h"
#include "desk/shared/photo.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kShownPhoto = 520;
constexpr int kReviewerWidth = 120;

/// "4", "4, lively lines"; a dash for none.
QString scoreText(const Rating* rating) {
    return rating == nullptr ? ScoresPage::tr("–") : QString::number(rating->score);
}

}  // namespace

ScoresPage::ScoresPage(Session& session)
    : session_(session),
      whose_(makeLabel({}, TextRole::Heading)),
      reviewer_(new QLineEdit),
      beside_(new QComboBox),
      anchors_(makeLabel({}, TextRole::Muted)),
      agreement_(makeLabel({}, TextRole::Body)) {
    reviewer_->setObjectName(QStringLiteral("reviewer"));
    reviewer_->setAccessibleName(tr("Who scores"));
    reviewer_->setPlaceholderText(tr("your name"));
    reviewer_->setFixedWidth(kReviewerWidth);
    beside_->setObjectName(QStringLiteral("besideReviewer"));
    beside_->setAccessibleName(tr("Beside whose scores"));
    agreement_->setObjectName(QStringLiteral("agreement"));
    anchors_->setObjectName(QStringLiteral("anchors"));
    for (auto* label : {anchors_, agreement_}) label->setWordWrap(true);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(8);
    auto* head = new QHBoxLayout;
    head->addWidget(whose_, 1);
    head->addWidget(makeLabel(tr("scored by"), TextRole::Muted));
    head->addWidget(reviewer_);
    head->addWidget(makeLabel(tr("beside"), TextRole::Muted));
    head->addWidget(beside_);
    layout->addLayout(head);
    layout->addWidget(makeRows());
    layout->addWidget(anchors_);
    layout->addWidget(agreement_);
    auto* apart =
        makeLabel(tr("Scores stand by themselves: no measured rank rests on them."), TextRole::Muted);
    layout->addWidget(apart);
    layout->addStretch(1);
    connect(reviewer_, &QLineEdit::editingFinished, this, &ScoresPage::refresh);
    connect(beside_, &QComboBox::activated, this, &ScoresPage::refresh);
}

QWidget* ScoresPage::makeRows() {
    auto* holder = new QWidget;
    auto* grid = new QGridLayout(holder);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(10);
    grid->setVerticalSpacing(3);
    grid->setColumnStretch(2, 1);
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const auto criterion = kRubricCriteria[i];
        const auto name = text(anchorsOf(criterion).name, session_.unit());
        const auto id = QLatin1String(wordOf(criterion));
        auto& row = rows_[i];
        const int line = static_cast<int>(i);
        grid->addWidget(makeLabel(name, TextRole::Body), line, 0);
        auto* buttons = new QWidget;
        auto* across = new QHBoxLayout(buttons);
        across->setContentsMargins(0, 0, 0, 0);
        across->setSpacing(0);
        row.scores = new QButtonGroup(this);
        for (int score = kLeastScore; score <= kMostScore; ++score) {
            auto* button = new QPushButton(QString::number(score));
            button->setCheckable(true);
            button->setProperty("segment", true);
            button->setObjectName(QStringLiteral("score_%1_%2").arg(id).arg(score));
            button->setAccessibleName(tr("%1: %2 of %3").arg(name).arg(score).arg(kMostScore));
            button->installEventFilter(this);
            button->setProperty("row", line);
            row.scores->addButton(button, score);
            across->addWidget(button);
        }
        grid->addWidget(buttons, line, 1);
        row.reason = new QLineEdit;
        row.reason->setObjectName(QStringLiteral("reason_%1").arg(id));
        row.reason->setAccessibleName(tr("%1: why").arg(name));
        row.reason->setPlaceholderText(tr("why"));
        row.reason->installEventFilter(this);
        row.reason->setProperty("row", line);
        grid->addWidget(row.reason, line, 2);
        row.photo = quietButton(tr("photo…"));
        row.photo->setObjectName(QStringLiteral("photo_%1").arg(id));
        row.photo->setAccessibleName(tr("%1: photo").arg(name));
        grid->addWidget(row.photo, line, 3);
        row.other = makeLabel({}, TextRole::Heading);
        row.other->setMinimumWidth(18);
        row.other->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
        grid->addWidget(row.other, line, 4);
        connect(row.scores, &QButtonGroup::idClicked, this, [this, i](int value) { score(i, value); });
        connect(row.reason, &QLineEdit::editingFinished, this, [this, i] { keepReason(i); });
        connect(row.photo, &QPushButton::clicked, this, [this, i] { photo(i); });
    }
    return holder;
}

bool ScoresPage::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::FocusIn || event->type() == QEvent::Enter)
        sayAnchors(static_cast<std::size_t>(watched->property("row").toInt()));
    return QWidget::eventFilter(watched, event);
}

void ScoresPage::sayAnchors(std::size_t row) {
    const auto anchors = anchorsOf(kRubricCriteria[row]);
    const auto unit = session_.unit();
    anchors_->setText(tr("%1 — 1: %2.  3: %3.  5: %4.")
                          .arg(text(anchors.name, unit), text(anchors.least, unit),
                               text(anchors.middle, unit), text(anchors.greatest, unit)));
}

void ScoresPage::show(const Comparison& compared, std::size_t chosen) {
    const auto& configuration = compared.judged[chosen].contender.configuration;
    fixture_ = configuration.fixture;
    accessory_ = configuration.accessory;
    const auto& bench = session_.bench();
    const auto* fixture = byId(bench.fixtures, fixture_);
    const auto* accessory = byId(bench.accessories, accessory_);
    whose_->setText(fixture == nullptr ? QString()
                    : accessory == nullptr
                        ? text(fixture->name)
                        : tr("%1, with %2").arg(text(fixture->name), text(accessory->name)));
    const auto known = reviewersOf(bench);
    if (reviewer_->text().isEmpty() && !known.empty() && !reviewer_->hasFocus())
        reviewer_->setText(text(known.front()));
    refresh();
}

Rating ScoresPage::ratingAt(std::size_t row) const {
    if (const auto* known =
            ratingOf(session_.bench(), fixture_, accessory_, kRubricCriteria[row], reviewer()))
        return *known;
    Rating fresh;
    fresh.fixture = fixture_;
    fresh.accessory = accessory_;
    fresh.criterion = kRubricCriteria[row];
    fresh.by = reviewer();
    return fresh;
}

void ScoresPage::refresh() {
    const auto& bench = session_.bench();
    const QString kept = beside_->currentText();
    beside_->clear();
    for (const auto& name : reviewersOf(bench))
        if (name != reviewer()) beside_->addItem(text(name));
    beside_->setCurrentIndex(std::max(0, beside_->findText(kept)));
    beside_->setVisible(beside_->count() > 0);
    const auto other = beside_->currentText().toStdString();
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        auto& row = rows_[i];
        const auto mine = ratingAt(i);
        row.scores->setExclusive(false);
        for (auto* button : row.scores->buttons())
            button->setChecked(mine.id != 0 && row.scores->id(button) == mine.score);
        row.scores->setExclusive(true);
        if (!row.reason->hasFocus()) row.reason->setText(text(mine.reason));
        row.reason->setEnabled(mine.id != 0);
        row.photo->setEnabled(mine.id != 0);
        row.photo->setText(mine.photo.empty() ? tr("photo…") : tr("see photo"));
        const auto* theirs = ratingOf(bench, fixture_, accessory_, kRubricCriteria[i], other);
        row.other->setText(scoreText(theirs));
        row.other->setToolTip(theirs == nullptr ? QString() : text(theirs->reason));
    }
    agreement_->setText(
        other.empty() ? QString()
                      : text(agreementWords(rubricAgreement(bench, reviewer(), other), reviewer(), other),
                             session_.unit()));
}

void ScoresPage::store(Rating rating) {
    rating.time = session_.now().toStdString();
    session_.edit([&](Project& project) { return project.save(rating); });
    refresh();
}

void ScoresPage::score(std::size_t row, int value) {
    if (reviewer().empty()) {
        session_.warn(tr("Say who scores: your name belongs to every score."));
        reviewer_->setFocus();
        return refresh();
    }
    auto rating = ratingAt(row);
    if (rating.id != 0 && rating.score == value) return refresh();
    rating.score = value;
    store(std::move(rating));
}

void ScoresPage::keepReason(std::size_t row) {
    auto rating = ratingAt(row);
    const auto typed = rows_[row].reason->text().trimmed().toStdString();
    if (rating.id == 0 || rating.reason == typed) return;
    rating.reason = typed;
    store(std::move(rating));
}

void ScoresPage::photo(std::size_t row) {
    auto rating = ratingAt(row);
    if (rating.photo.empty()) {
        const auto path = QFileDialog::getOpenFileName(this, tr("A photo of what was scored"), {},
                                                       tr("Pictures (*.jpg *.jpeg *.png)"));
        if (path.isEmpty()) return;
        rating.photo = photoOf(path);
        if (rating.photo.empty())
            return session_.warn(tr("\"%1\" is no picture that can be kept.").arg(path));
        return store(std::move(rating));
    }
    QDialog dialog(this);
    dialog.setWindowTitle(tr("Photo"));
    auto* layout = new QVBoxLayout(&dialog);
    QPixmap picture;
    picture.loadFromData(QByteArray::fromBase64(QByteArray::fromStdString(rating.photo)));
    auto* shown = new QLabel;
    shown->setPixmap(picture.scaled(kShownPhoto, kShownPhoto, Qt::KeepAspectRatio, Qt::SmoothTransformation));
    shown->setAccessibleName(tr("Photo of what was scored"));
    layout->addWidget(shown);
    auto* remove = new QPushButton(tr("Remove the photo"));
    auto* close = new QPushButton(tr("Close"));
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    buttons->addWidget(remove);
    buttons->addWidget(close);
    layout->addLayout(buttons);
    connect(close, &QPushButton::clicked, &dialog, &QDialog::reject);
    connect(remove, &QPushButton::clicked, &dialog, &QDialog::accept);
    close->setDefault(true);
    if (dialog.exec() != QDialog::Accepted) return;
    rating.photo.clear();
    store(std::move(rating));
}

std::vector<QStringList> ScoresPage::table() const {
    std::vector<QStringList> out{
        {tr("fixture"), tr("accessory"), tr("criterion"), tr("score"), tr("why"), tr("by")}};
    const auto& bench = session_.bench();
    for (const auto& rating : bench.ratings) {
        const auto* fixture = byId(bench.fixtures, rating.fixture);
        const auto* accessory = byId(bench.accessories, rating.accessory);
        out.push_back({fixture == nullptr ? QString() : text(fixture->name),
                       accessory == nullptr ? QString() : text(accessory->name),
                       text(anchorsOf(rating.criterion).name, session_.unit()), QString::number(rating.score),
                       text(rating.reason), text(rating.by)});
    }
    return out;
}

}  // namespace glumet
