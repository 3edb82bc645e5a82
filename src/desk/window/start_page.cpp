#include "desk/window/start_page.h"

#include <QFileInfo>
#include <QLabel>
#include <QPushButton>

#include "desk/shared/theme.h"
#include "desk/window/remembered.h"

namespace glumet {

StartPage::StartPage() : recent_(new QVBoxLayout) {
    setObjectName(QStringLiteral("startPage"));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(70, 40, 70, 40);
    layout->setSpacing(8);
    layout->addStretch(2);
    layout->addWidget(makeLabel(tr("From a probe on a stick to a height you can publish"), TextRole::Title));
    layout->addSpacing(8);
    const auto add = [&](const QString& name, const QString& words, bool primary, auto wanted) {
        auto* row = new QHBoxLayout;
        row->setSpacing(16);
        auto* button = new QPushButton(name);
        button->setProperty("primary", primary);
        button->setFixedWidth(210);
        connect(button, &QPushButton::clicked, this, wanted);
        row->addWidget(button);
        if (primary) setFocusProxy(button);
        auto* label = makeLabel(words, TextRole::Muted);
        label->setWordWrap(true);
        row->addWidget(label, 1);
        layout->addLayout(row);
    };
    add(tr("Look at the demonstration"),
        tr("Six invented fixtures, read, judged and published; a copy of your own."), true,
        &StartPage::demonstrationWanted);
    add(tr("New bench…"), tr("Say what hangs over what, plan, read."), false, &StartPage::newBenchWanted);
    add(tr("Readings to import…"), tr("A table or a sheet you have; a project is made beside it."), false,
        &StartPage::readingsWanted);
    add(tr("Open a project…"), tr("One from another place."), false, &StartPage::projectWanted);
    layout->addSpacing(10);
    recent_->setSpacing(2);
    layout->addLayout(recent_);
    layout->addStretch(3);
}

void StartPage::showEvent(QShowEvent* /*event*/) { refresh(); }

void StartPage::refresh() {
    while (auto* item = recent_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    const auto paths = Remembered().recent();
    if (!paths.isEmpty()) recent_->addWidget(makeLabel(tr("Opened last"), TextRole::Heading));
    for (const auto& path : paths) {
        auto* button = new QPushButton(
            tr("%1   in %2").arg(QFileInfo(path).completeBaseName(), QFileInfo(path).absolutePath()));
        button->setProperty("quiet", true);
        button->setObjectName(QStringLiteral("recentProject"));
        button->setToolTip(path);
        connect(button, &QPushButton::clicked, this, [this, path] { emit recentWanted(path); });
        recent_->addWidget(button, 0, Qt::AlignLeft);
    }
}

}  // namespace glumet
