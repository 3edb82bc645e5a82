#include "desk/window/copies_dialog.h"

#include <QHBoxLayout>
#include <QLocale>
#include <QPushButton>
#include <QVBoxLayout>

#include "desk/shared/theme.h"

namespace glumet {

CopiesDialog::CopiesDialog(const QString& project, QList<KeptCopy> copies, QWidget* parent)
    : ScrolledDialog(parent, {520, 380}), copies_(std::move(copies)), list_(new QListWidget) {
    setWindowTitle(tr("Earlier copies"));
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 18, 22, 10);
    layout->setSpacing(10);
    layout->addWidget(makeLabel(tr("%1 as it was").arg(project), TextRole::Title));
    auto* told =
        makeLabel(tr("Kept when the project was opened, before it was brought to a new format, and once an "
                     "hour while it changed. Restoring makes a project of its own: nothing is written over."),
                  TextRole::Muted);
    told->setWordWrap(true);
    layout->addWidget(told);
    for (const auto& copy : copies_)
        list_->addItem(tr("%1     %2")
                           .arg(copy.time.toString(QStringLiteral("yyyy-MM-dd  HH:mm")),
                                QLocale::c().formattedDataSize(copy.bytes, 0)));
    list_->setCurrentRow(0);
    list_->setObjectName(QStringLiteral("keptCopies"));
    list_->setAccessibleName(tr("Earlier copies"));
    layout->addWidget(list_, 1);
    auto* cancel = new QPushButton(tr("Cancel"));
    auto* restore = new QPushButton(tr("Restore as…"));
    restore->setProperty("primary", true);
    restore->setDefault(true);
    restore->setObjectName(QStringLiteral("restoreCopy"));
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(restore, &QPushButton::clicked, this, &QDialog::accept);
    connect(list_, &QListWidget::itemActivated, this, &QDialog::accept);
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    buttons->addWidget(cancel);
    buttons->addWidget(restore);
    addFoot(buttons);
}

}  // namespace glumet
