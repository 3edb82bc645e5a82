#include "desk/shared/accessible_cells.h"

#include <QAccessibleWidget>
#include <QPointer>
#include <algorithm>
#include <optional>

namespace glumet {
namespace {

/// One cell. It looks its widget up each time: what is painted changes without the cell being told.
class CellInterface : public QAccessibleInterface {
  public:
    CellInterface(QWidget* widget, int index) : widget_(widget), index_(index) {}

    bool isValid() const override { return widget_ != nullptr && cell().has_value(); }
    QObject* object() const override { return nullptr; }
    QWindow* window() const override { return widget_ == nullptr ? nullptr : widget_->windowHandle(); }
    QAccessibleInterface* parent() const override {
        return QAccessible::queryAccessibleInterface(widget_.data());
    }
    QAccessibleInterface* child(int /*index*/) const override { return nullptr; }
    QAccessibleInterface* childAt(int /*x*/, int /*y*/) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface* /*child*/) const override { return -1; }
    QAccessible::Role role() const override { return QAccessible::Cell; }
    QString text(QAccessible::Text kind) const override {
        const auto here = cell();
        return here && kind == QAccessible::Name ? here->name : QString();
    }
    void setText(QAccessible::Text /*kind*/, const QString& /*text*/) override {}
    QRect rect() const override {
        const auto here = cell();
        return here ? QRect(widget_->mapToGlobal(here->rect.topLeft()), here->rect.size()) : QRect();
    }
    QAccessible::State state() const override {
        QAccessible::State state;
        const auto here = cell();
        state.invalid = !here;
        state.selectable = state.focusable = true;
        state.selected = here && here->chosen;
        state.focused = state.selected && widget_->hasFocus();
        return state;
    }

  private:
    std::optional<AccessibleCell> cell() const {
        const auto* cells = dynamic_cast<const AccessibleCells*>(widget_.data());
        if (cells == nullptr) return std::nullopt;
        auto all = cells->accessibleCells();
        if (index_ >= static_cast<int>(all.size())) return std::nullopt;
        return std::move(all[static_cast<std::size_t>(index_)]);
    }

    QPointer<QWidget> widget_;
    int index_;
};

class CellsInterface : public QAccessibleWidget {
  public:
    explicit CellsInterface(QWidget* widget) : QAccessibleWidget(widget, QAccessible::Table) {}
    ~CellsInterface() override {
        for (const auto id : ids_) QAccessible::deleteAccessibleInterface(id);
    }
    CellsInterface(const CellsInterface&) = delete;
    CellsInterface& operator=(const CellsInterface&) = delete;

    int childCount() const override { return static_cast<int>(cells().size()); }
    QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= childCount()) return nullptr;
        while (static_cast<int>(ids_.size()) <= index)
            ids_.push_back(QAccessible::registerAccessibleInterface(
                new CellInterface(widget(), static_cast<int>(ids_.size()))));
        return QAccessible::accessibleInterface(ids_[static_cast<std::size_t>(index)]);
    }
    int indexOfChild(const QAccessibleInterface* child) const override {
        const auto at = std::find_if(ids_.begin(), ids_.end(), [&](QAccessible::Id id) {
            return QAccessible::accessibleInterface(id) == child;
        });
        return at == ids_.end() ? -1 : static_cast<int>(at - ids_.begin());
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        const auto all = cells();
        const QPoint at = widget()->mapFromGlobal(QPoint(x, y));
        for (int i = 0; i < static_cast<int>(all.size()); ++i)
            if (all[static_cast<std::size_t>(i)].rect.contains(at)) return child(i);
        return nullptr;
    }
    QAccessibleInterface* focusChild() const override { return child(chosen()); }

    int chosen() const {
        const auto all = cells();
        const auto at =
            std::find_if(all.begin(), all.end(), [](const AccessibleCell& cell) { return cell.chosen; });
        return at == all.end() ? -1 : static_cast<int>(at - all.begin());
    }

  private:
    std::vector<AccessibleCell> cells() const {
        const auto* cells = dynamic_cast<const AccessibleCells*>(widget());
        return cells == nullptr ? std::vector<AccessibleCell>{} : cells->accessibleCells();
    }

    mutable std::vector<QAccessible::Id> ids_;  ///< made when they are asked for
};

std::function<void(QAccessibleEvent&)>& listener() {
    static std::function<void(QAccessibleEvent&)> one;
    return one;
}

void tell(QAccessibleEvent& event) {
    QAccessible::updateAccessibility(&event);
    if (listener()) listener()(event);
}

QAccessibleInterface* interfaceFor(const QString& /*class_name*/, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    if (widget == nullptr || dynamic_cast<AccessibleCells*>(widget) == nullptr) return nullptr;
    return new CellsInterface(widget);
}

}  // namespace

void installAccessibleCells() { QAccessible::installFactory(&interfaceFor); }

void cellsTold(QWidget& widget) {
    // Cells are listed only where somebody wants to know.
    if ((!QAccessible::isActive() && !listener()) || !widget.hasFocus()) return;
    const auto* cells = dynamic_cast<CellsInterface*>(QAccessible::queryAccessibleInterface(&widget));
    if (cells == nullptr || cells->chosen() < 0) return;
    QAccessibleEvent event(&widget, QAccessible::Focus);
    event.setChild(cells->chosen());
    tell(event);
}

void announce(QWidget& widget) {
    QAccessibleEvent event(&widget, QAccessible::Alert);
    tell(event);
}

void listenToAccess(std::function<void(QAccessibleEvent&)> heard) { listener() = std::move(heard); }

}  // namespace glumet
