#include "desk/compare/shelf_dialog.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QMessageBox>
#include <QStandardPaths>
#include <QVBoxLayout>

#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {

ShelfDialog::ShelfDialog(Session& session, const QStringList& compared, QWidget* parent)
    : ScrolledDialog(parent, {520, 420}),
      session_(session),
      list_(new QListWidget),
      about_(makeLabel({}, TextRole::Muted)),
      fault_(makeLabel({}, TextRole::Problem)),
      remove_(new QPushButton(tr("Take from the shelf"))) {
    setWindowTitle(tr("The shelf of this machine"));
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 20, 22, 14);
    layout->setSpacing(10);
    auto* what =
        makeLabel(tr("Fixtures of other projects, and data that others published. What is ticked stands "
                     "beside your own; others' readings rest on benches nobody here knows, and say so."),
                  TextRole::Body);
    what->setWordWrap(true);
    layout->addWidget(what);
    list_->setObjectName(QStringLiteral("shelfList"));
    list_->setAccessibleName(tr("What lies on the shelf"));
    layout->addWidget(list_, 1);
    about_->setWordWrap(true);
    fault_->setWordWrap(true);
    fault_->setObjectName(QStringLiteral("shelfFault"));
    layout->addWidget(about_);
    layout->addWidget(fault_);
    auto* choices = new QHBoxLayout;
    auto* add = new QPushButton(tr("Add a folder…"));
    add->setObjectName(QStringLiteral("shelfAdd"));
    auto* add_package = new QPushButton(tr("Add a data package…"));
    add_package->setObjectName(QStringLiteral("shelfAddPackage"));
    remove_->setObjectName(QStringLiteral("shelfRemove"));
    choices->addWidget(add);
    choices->addWidget(add_package);
    choices->addWidget(remove_);
    choices->addStretch(1);
    layout->addLayout(choices);
    addButtons();
    connect(add, &QPushButton::clicked, this, &ShelfDialog::addFolder);
    connect(add_package, &QPushButton::clicked, this, &ShelfDialog::addPackage);
    connect(remove_, &QPushButton::clicked, this, &ShelfDialog::remove);
    connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
        remove_->setEnabled(row >= 0);
        if (row < 0 || row >= static_cast<int>(entries_.size())) return about_->clear();
        const auto& entry = entries_[static_cast<std::size_t>(row)];
        about_->setText(tr("%1. From %2, kept %3.")
                            .arg(entry.fixtures.join(QStringLiteral(", ")), entry.from, entry.kept));
        fault_->setText(entry.wrong ? text(*entry.wrong) : QString());
    });
    fill(compared);
}

void ShelfDialog::addButtons() {
    auto* foot = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    auto* compare = new QPushButton(tr("Compare"));
    compare->setObjectName(QStringLiteral("shelfCompare"));
    compare->setProperty("primary", true);
    compare->setDefault(true);
    foot->addStretch(1);
    foot->addWidget(cancel);
    foot->addWidget(compare);
    addFoot(foot);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(compare, &QPushButton::clicked, this, &QDialog::accept);
}

QString ShelfDialog::place() {
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/shelf");
}

void ShelfDialog::fill(const QStringList& chosen) {
    list_->clear();
    entries_ = shelfEntries(place());
    for (const auto& entry : entries_) {
        auto* item = new QListWidgetItem(entry.own ? tr("%1 (your own)").arg(entry.title) : entry.title);
        if (entry.wrong) {
            item->setFlags(item->flags() & ~Qt::ItemIsUserCheckable);
            item->setText(tr("▲ %1: not as it was kept").arg(entry.title));
        } else {
            item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
            item->setCheckState(chosen.contains(entry.folder) ? Qt::Checked : Qt::Unchecked);
        }
        list_->addItem(item);
    }
    if (entries_.empty())
        about_->setText(
            tr("Nothing lies there yet. \"Keep these fixtures on the shelf\" puts a project's fixtures "
               "there; a folder that somebody exported or published can be added."));
    list_->setCurrentRow(entries_.empty() ? -1 : 0);
    remove_->setEnabled(!entries_.empty());
}

QStringList ShelfDialog::chosen() const {
    QStringList folders;
    for (int row = 0; row < list_->count(); ++row)
        if (list_->item(row)->checkState() == Qt::Checked)
            folders << entries_[static_cast<std::size_t>(row)].folder;
    return folders;
}

void ShelfDialog::addFolder() {
    take(QFileDialog::getExistingDirectory(this, tr("A folder with readings.csv and bench.json")));
}

void ShelfDialog::addPackage() {
    take(QFileDialog::getOpenFileName(this, tr("A data package"), {}, tr("Data packages (*.zip)")));
}

void ShelfDialog::take(const QString& path) {
    if (path.isEmpty()) return;
    auto ticked = chosen();
    const auto taken = takeOntoShelf(place(), path, session_.now());
    if (taken) ticked << taken->folder;
    fill(ticked);
    fault_->setText(taken ? QString() : text(taken.error()));
}

void ShelfDialog::remove() {
    const int row = list_->currentRow();
    if (row < 0) return;
    const auto entry = entries_[static_cast<std::size_t>(row)];
    if (QMessageBox::question(
            this, tr("Take from the shelf"),
            tr("Take \"%1\" from the shelf? Its files there are removed.").arg(entry.title)) !=
        QMessageBox::Yes)
        return;
    const auto ticked = chosen();
    const bool gone = removeFromShelf(entry);
    fill(ticked);
    fault_->setText(gone ? QString() : tr("\"%1\" could not be removed.").arg(entry.folder));
}

}  // namespace glumet
