#include "desk/spectrum/day_log_dialog.h"

#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QPushButton>

#include "core/dose/day.h"
#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "files/file_reader.h"
#include "formats/day_log_csv.h"
#include "report/text.h"

namespace glumet {

DayLogDialog::DayLogDialog(Session& session, const QString& path, QWidget* parent)
    : ScrolledDialog(parent, {460, 260}),
      session_(session),
      name_(new QLineEdit(QFileInfo(path).completeBaseName())),
      tank_(new QComboBox),
      depth_(new QLineEdit) {
    setWindowTitle(tr("A logger's day"));
    const auto bytes = readFile(path, limits::kTableBytes);
    const auto table = bytes ? splitDelimited(bytes->toStdString())
                             : Expected<DelimitedText>(tl::make_unexpected(bytes.error()));
    const auto read = table ? readDayLog(*table) : Expected<DayLogTable>(tl::make_unexpected(table.error()));
    if (!read) {
        fault_ = tr("%1: %2").arg(QFileInfo(path).fileName(), text(read.error()));
        return;
    }
    log_ = read->log;
    name_->setObjectName(QStringLiteral("logName"));
    tank_->addItem(tr("not said"), 0);
    for (const auto& tank : session.bench().tanks)
        tank_->addItem(text(tank.name), static_cast<qlonglong>(tank.id));
    auto* form = new QFormLayout(body());
    form->setContentsMargins(22, 20, 22, 12);
    form->addRow(
        makeLabel(tr("%n values", nullptr, static_cast<int>(log_.points.size())) +
                      (read->skipped > 0 ? tr(", %n rows without one", nullptr, read->skipped) : QString()) +
                      tr(", %n whole days", nullptr, static_cast<int>(daysOf(log_).size())),
                  TextRole::Body));
    for (const auto& [name, field] : {std::pair<QString, QWidget*>{tr("Name"), name_},
                                      {tr("Tank"), tank_},
                                      {tr("Depth under water"), depth_}}) {
        field->setAccessibleName(name);
        form->addRow(makeLabel(name, TextRole::Muted), field);
    }
    auto* buttons = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    auto* keep = new QPushButton(tr("Keep it"));
    keep->setProperty("primary", true);
    keep->setDefault(true);
    buttons->addStretch(1);
    buttons->addWidget(cancel);
    buttons->addWidget(keep);
    addFoot(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(keep, &QPushButton::clicked, this, &QDialog::accept);
}

DayLog DayLogDialog::log() const {
    auto log = log_;
    log.name = name_->text().trimmed().toStdString();
    log.tank = tank_->currentData().toLongLong();
    log.depth = parseLength(depth_->text().toStdString(), session_.unit());
    return log;
}

}  // namespace glumet
