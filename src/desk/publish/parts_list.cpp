#include "desk/publish/parts_list.h"

#include <QKeyEvent>
#include <QPainter>
#include <QSignalBlocker>
#include <QStyledItemDelegate>
#include <algorithm>

#include "report/review/sections.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kSectionRole = Qt::UserRole;
constexpr int kStandingRole = Qt::UserRole + 1;
constexpr int kOpening = -1;
constexpr int kPartRowHeight = 25;
constexpr int kMarkRoom = 20;
constexpr double kMark = 5.0;

/// How a section stands, by its mark's shape.
enum class Standing { Out, Empty, Doubtful, Ready, Words };

Standing standingOf(const ReviewPart& part, const std::vector<SectionStanding>& standings) {
    if (!part.shown) return Standing::Out;
    for (const auto& one : standings)
        if (one.section == part.section)
            return !one.missing.empty() ? Standing::Empty
                   : one.doubts > 0     ? Standing::Doubtful
                                        : Standing::Ready;
    return Standing::Ready;
}

QString nameOf(Standing standing) {
    switch (standing) {
        case Standing::Out:
            return PartsList::tr("left out");
        case Standing::Empty:
            return PartsList::tr("nothing in it");
        case Standing::Doubtful:
            return PartsList::tr("with doubts");
        default:
            return PartsList::tr("ready");
    }
}

/// The row as a list has it, with the mark at its right end.
class MarkedRow : public QStyledItemDelegate {
  public:
    MarkedRow(QObject* parent, const Palette* const& palette)
        : QStyledItemDelegate(parent), palette_(palette) {}

    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        return {QStyledItemDelegate::sizeHint(option, index).width(), kPartRowHeight};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        QStyleOptionViewItem row = option;
        const auto standing = static_cast<Standing>(index.data(kStandingRole).toInt());
        if (standing == Standing::Out) row.palette.setColor(QPalette::Text, palette_->muted);
        row.rect.setRight(row.rect.right() - kMarkRoom);
        if (row.state.testFlag(QStyle::State_Selected)) painter->fillRect(option.rect, palette_->line);
        QStyledItemDelegate::paint(painter, row, index);
        const QPointF at(option.rect.right() - 12.0, option.rect.center().y() + 0.5);
        painter->save();
        painter->setRenderHint(QPainter::Antialiasing);
        painter->setPen(standing == Standing::Empty ? QPen(palette_->muted, 1.4) : Qt::NoPen);
        painter->setBrush(standing == Standing::Doubtful ? palette_->accent
                          : standing == Standing::Ready  ? palette_->muted
                                                         : QBrush(Qt::NoBrush));
        if (standing == Standing::Doubtful)
            painter->drawPolygon(
                QPolygonF{at + QPointF(0, -kMark), at + QPointF(kMark, kMark), at + QPointF(-kMark, kMark)});
        else if (standing != Standing::Out && standing != Standing::Words)
            painter->drawEllipse(at, kMark - 0.5, kMark - 0.5);
        painter->restore();
    }

  private:
    const Palette* const& palette_;
};

}  // namespace

PartsList::PartsList() {
    setObjectName(QStringLiteral("reviewParts"));
    setAccessibleName(tr("What goes in, in this order"));
    setDragDropMode(QAbstractItemView::InternalMove);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setItemDelegate(new MarkedRow(this, palette_));
    setToolTip(tr("Space ticks, Shift and the arrows move"));
    connect(this, &QListWidget::itemChanged, this, &PartsList::partsChanged);
}

void PartsList::setParts(const std::vector<ReviewPart>& parts, const std::vector<SectionStanding>& standings,
                         const Palette& palette) {
    const QSignalBlocker quiet(this);
    const int row = std::max(0, currentRow());
    const auto kept = chosen();
    given_ = parts;
    palette_ = &palette;
    clear();
    auto* opening = new QListWidgetItem(tr("Words at the beginning"), this);
    opening->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
    opening->setData(kSectionRole, kOpening);
    opening->setData(kStandingRole, static_cast<int>(Standing::Words));
    for (const auto& part : parts) {
        auto* item = new QListWidgetItem(text(titleOf(part.section), LengthUnit::Cm), this);
        auto flags = Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsDragEnabled;
        if (!always(part.section)) flags |= Qt::ItemIsUserCheckable;
        item->setFlags(flags);
        item->setCheckState(part.shown ? Qt::Checked : Qt::Unchecked);
        item->setData(kSectionRole, static_cast<int>(part.section));
        const auto standing = standingOf(part, standings);
        item->setData(kStandingRole, static_cast<int>(standing));
        item->setData(Qt::AccessibleTextRole, tr("%1, %2").arg(item->text(), nameOf(standing)));
        if (kept == part.section) setCurrentItem(item);
    }
    if (!kept) setCurrentRow(std::min(row, count() - 1));
}

std::vector<ReviewPart> PartsList::parts() const {
    std::vector<ReviewPart> out;
    for (int row = 0; row < count(); ++row) {
        const int number = item(row)->data(kSectionRole).toInt();
        if (number == kOpening) continue;
        const auto section = static_cast<ReviewSection>(number);
        const auto at = std::find_if(given_.begin(), given_.end(),
                                     [&](const auto& one) { return one.section == section; });
        out.push_back({section, item(row)->checkState() == Qt::Checked,
                       at == given_.end() ? std::string() : at->words});
    }
    return out;
}

std::optional<ReviewSection> PartsList::chosen() const {
    const auto* item = currentItem();
    if (item == nullptr || item->data(kSectionRole).toInt() == kOpening) return std::nullopt;
    return static_cast<ReviewSection>(item->data(kSectionRole).toInt());
}

void PartsList::moveBy(int rows) {
    const int from = currentRow();
    const int to = from + rows;
    if (from < 1 || to < 1 || to >= count()) return;
    {
        const QSignalBlocker quiet(this);
        auto* moved = takeItem(from);
        insertItem(to, moved);
        setCurrentRow(to);
    }
    emit partsChanged();
}

void PartsList::keyPressEvent(QKeyEvent* event) {
    const bool shift = event->modifiers().testFlag(Qt::ShiftModifier);
    if (shift && event->key() == Qt::Key_Up) return moveBy(-1);
    if (shift && event->key() == Qt::Key_Down) return moveBy(1);
    QListWidget::keyPressEvent(event);
}

void PartsList::dropEvent(QDropEvent* event) {
    {
        const QSignalBlocker quiet(this);
        QListWidget::dropEvent(event);
    }
    emit partsChanged();
}

}  // namespace glumet
