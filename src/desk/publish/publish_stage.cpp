#include "desk/publish/publish_stage.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QPainter>
#include <QVBoxLayout>

#include "core/survey/findings.h"
#include "core/words/finding.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {

PagePreview::PagePreview(Session& session) : session_(session) {
    setAccessibleName(tr("The page as it will be published"));
}

void PagePreview::setReview(const Expected<Review>* review) {
    review_ = review;
    update();
}

void PagePreview::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (review_ == nullptr) return;
    if (!review_->has_value()) {
        p.setFont(houseFont(14));
        p.setPen(session_.palette().muted);
        p.drawText(rect().adjusted(60, 0, -60, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   text(review_->error()));
        return;
    }
    const double scale = std::min(width() / kPageWidth, height() / kPageHeight);
    p.translate((width() - kPageWidth * scale) / 2, 0);
    p.scale(scale, scale);
    p.setClipRect(QRectF(0, 0, kPageWidth, kPageHeight));
    paintPage(p, **review_);
}

PublishStage::PublishStage(Session& session)
    : Stage(session),
      review_(problem("", say(GLUMET_SAY("Core", "not computed")))),
      title_(makeLabel({}, TextRole::Title)),
      preview_(new PagePreview(session)),
      publish_(new QPushButton(tr("Publish to a folder…"))),
      reviewer_(new QLineEdit),
      licence_(new QComboBox) {
    publish_->setProperty("primary", true);
    publish_->setObjectName(QStringLiteral("publishButton"));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 12, 20, 12);
    layout->setSpacing(10);
    auto* head = new QHBoxLayout;
    head->addWidget(title_, 1);
    head->addWidget(publish_);
    layout->addLayout(head);
    layout->addWidget(makeSignature());
    layout->addWidget(preview_, 1);
    connect(publish_, &QPushButton::clicked, this, &PublishStage::askAndPublish);
}

Expected<Review> PublishStage::makeReview() const {
    if (session().sweep() == nullptr) return problem("", asWords(tr("There is nothing to publish yet.")));
    return reviewOf(session().bench(),
                    {session().sweep()->configuration, session().unit(), session().now().left(10)});
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

void PublishStage::refresh() {
    const auto& method = session().bench().method;
    if (!reviewer_->hasFocus()) reviewer_->setText(text(method.reviewer));
    if (!licence_->hasFocus() && !licence_->lineEdit()->hasFocus())
        licence_->setCurrentText(text(method.licence));
    review_ = makeReview();
    title_->setText(tr("The page, as it will be read"));
    publish_->setEnabled(review_.has_value());
    preview_->setReview(&review_);
}

std::vector<Finding> PublishStage::findings() const {
    std::vector<Finding> out;
    const auto& made = review_;
    if (!made) return benchFindings(session().bench());
    const auto fact = [&](FindingKind kind, const QString& title, const QString& body, EvidenceView view) {
        out.push_back(finding(kind, asWords(title), asWords(body), view));
    };
    fact(FindingKind::Fact, tr("One page and its data"),
         tr("HTML with its figures inside, PDF, SVG and PNG figures, readings.csv and bench.json, a "
            "workbook, and all of it as an open data package."),
         EvidenceView::None);
    if (!made->verdict.speaks())
        fact(FindingKind::Doubt, tr("No height on the card"), made->said(made->verdict.reason),
             EvidenceView::Height);
    if (!made->doubts.empty())
        fact(FindingKind::Doubt,
             tr("%n doubt(s) will be printed", nullptr, static_cast<int>(made->doubts.size())),
             made->said(made->doubts.front()), EvidenceView::Field);
    for (const auto& pair : made->conditions)
        if (pair.missing)
            fact(FindingKind::Doubt, tr("%1 is missing").arg(made->said(pair.name)),
                 tr("Readers cannot compare without it."), EvidenceView::Bench);
    if (session().bench().method.licence.empty())
        fact(FindingKind::Doubt, tr("No licence"),
             tr("Without one nobody may use the data: choose what others may do with it."),
             EvidenceView::None);
    fact(FindingKind::Next, tr("Publish"),
         tr("Choose a folder; files of an earlier publication there are replaced whole."),
         EvidenceView::None);
    return out;
}

bool PublishStage::publishInto(const QString& folder) {
    const auto made = makeReview();
    if (!made) {
        session().warn(text(made.error()));
        return false;
    }
    const auto files = publishTo(folder, *made);
    if (!files) {
        session().warn(text(files.error()));
        return false;
    }
    session().say(tr("%1 files in %2").arg(files->size()).arg(folder));
    return true;
}

void PublishStage::askAndPublish() {
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Publish to a folder"));
    if (!folder.isEmpty()) publishInto(folder);
}

}  // namespace glumet
