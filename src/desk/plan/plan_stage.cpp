#include "desk/plan/plan_stage.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>
#include <QStandardPaths>
#include <QVBoxLayout>

#include "core/survey/pace.h"
#include "core/survey/plan_findings.h"
#include "core/words/finding.h"
#include "desk/shared/theme.h"
#include "report/point_sheets.h"
#include "report/text.h"

namespace glumet {
namespace {

QString methodFile() {
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) +
           QStringLiteral("/methods.json");
}

}  // namespace

PlanStage::PlanStage(Session& session)
    : Stage(session),
      title_(makeLabel(tr("The plan"), TextRole::Title)),
      headline_(makeLabel({}, TextRole::Heading)),
      views_(new QButtonGroup(this)),
      pages_(new QStackedWidget),
      matrix_(new MatrixView(session)),
      go_on_(new QPushButton(tr("Go on where it stopped"))),
      method_(new MethodPage(session, MethodStore(methodFile()))),
      commission_(new CommissionPage(session)) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(10);
    auto* head = new QHBoxLayout;
    head->addWidget(title_, 1);
    head->addWidget(headline_);
    layout->addLayout(head);
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    const std::array names{tr("matrix"), tr("add runs"), tr("before the first reading")};
    for (int i = 0; i < static_cast<int>(names.size()); ++i) {
        auto* button = new QPushButton(names[static_cast<std::size_t>(i)]);
        button->setCheckable(true);
        button->setProperty("segment", true);
        views_->addButton(button, i);
        row->addWidget(button);
    }
    row->addStretch(1);
    layout->addLayout(row);
    pages_->addWidget(makeMatrixPage());
    pages_->addWidget(method_);
    pages_->addWidget(commission_);
    layout->addWidget(pages_, 1);
    views_->button(0)->setChecked(true);
    connect(views_, &QButtonGroup::idClicked, this, [this](int id) { show(static_cast<View>(id)); });
    connect(method_, &MethodPage::runsAdded, this, [this] { show(View::Matrix); });
    connect(matrix_, &MatrixView::opened, this, [this] { this->session().goTo(EvidenceView::Measure); });
}

QWidget* PlanStage::makeMatrixPage() {
    auto* page = new QWidget;
    auto* layout = new QVBoxLayout(page);
    layout->setContentsMargins(0, 0, 0, 0);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* holder = new QWidget;
    auto* rows = new QVBoxLayout(holder);
    rows->setContentsMargins(0, 0, 10, 0);
    rows->addWidget(matrix_);
    rows->addStretch(1);
    scroll->setWidget(holder);
    layout->addWidget(scroll, 1);
    auto* legend =
        makeLabel(tr("A box is a mounting height, its shelves the depths, filled as far as they are read. "
                     "▲ counts doubts. Enter measures the chosen plane."),
                  TextRole::Muted);
    legend->setWordWrap(true);
    layout->addWidget(legend);
    auto* buttons = new QHBoxLayout;
    go_on_->setProperty("primary", true);
    go_on_->setObjectName(QStringLiteral("goOn"));
    auto* sheets = new QPushButton(tr("Checklist and point sheets…"));
    sheets->setObjectName(QStringLiteral("pointSheets"));
    buttons->addWidget(go_on_);
    buttons->addWidget(sheets);
    buttons->addStretch(1);
    layout->addLayout(buttons);
    connect(go_on_, &QPushButton::clicked, this, &PlanStage::goOn);
    connect(sheets, &QPushButton::clicked, this, &PlanStage::printSheets);
    return page;
}

PlanStage::View PlanStage::view() const { return static_cast<View>(pages_->currentIndex()); }

QWidget* PlanStage::keyWidget() { return view() == View::Matrix ? static_cast<QWidget*>(matrix_) : this; }

void PlanStage::show(View view) {
    pages_->setCurrentIndex(static_cast<int>(view));
    views_->button(static_cast<int>(view))->setChecked(true);
    emit viewChanged();
}

void PlanStage::refresh() {
    const auto& bench = session().bench();
    int planned = 0;
    int read = 0;
    using Progress = std::vector<PlaneProgress>;
    const auto& progress = session().answers().now<Progress>(
        {"survey progress"}, session().revision(), [&](const Progress*) { return surveyProgress(bench); });
    for (const auto& plane : progress) {
        planned += plane.planned;
        read += plane.read;
    }
    headline_->setText(planned == 0 ? tr("nothing planned yet")
                                    : tr("%1 of %2 points").arg(read).arg(planned));
    go_on_->setEnabled(read < planned);
    switch (view()) {
        case View::Matrix:
            matrix_->refresh();
            break;
        case View::Method:
            method_->refresh();
            break;
        case View::Commission:
            commission_->refresh();
            break;
    }
}

std::vector<Finding> PlanStage::findings() const {
    using Findings = std::vector<Finding>;
    auto out =
        session().answers().now<Findings>({"plan findings"}, session().revision(),
                                          [&](const Findings*) { return planFindings(session().bench()); });
    if (session().run() != nullptr) {
        const auto checks =
            commissionFindings(session().bench(), session().runId(), session().now().toStdString());
        out.insert(out.begin() + static_cast<std::ptrdiff_t>(out.empty() ? 0 : out.size() - 1),
                   checks.begin(), checks.end());
    }
    return out;
}

void PlanStage::goOn() {
    const auto place = whereItStopped(session().bench());
    if (!place) return session().say(tr("All that is planned is read."));
    Finding there;
    there.view = EvidenceView::Measure;
    there.run = place->run;
    there.depth = place->depth;
    session().show(there);
}

void PlanStage::printSheets() {
    if (session().sweep() == nullptr) return session().warn(tr("Plan a run first."));
    const QString path = QFileDialog::getSaveFileName(this, tr("Checklist and point sheets"),
                                                      QStringLiteral("point-sheets.pdf"), tr("PDF (*.pdf)"));
    if (!path.isEmpty()) printSheetsTo(path);
}

void PlanStage::printSheetsTo(const QString& path) {
    const auto done = writePointSheets(session().bench(), *session().sweep(), session().unit(), path);
    done ? session().say(tr("%1 pages written to %2").arg(*done).arg(path))
         : session().warn(text(done.error()));
}

void PlanStage::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_M && event->modifiers() == Qt::NoModifier) {
        show(static_cast<View>((pages_->currentIndex() + 1) % pages_->count()));
        keyWidget()->setFocus();
        return;
    }
    Stage::keyPressEvent(event);
}

}  // namespace glumet
