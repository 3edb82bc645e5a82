#pragma once

#include <QObject>
#include <deque>
#include <map>
#include <memory>

#include "core/bench/sweep.h"
#include "desk/shared/fit_job.h"
#include "desk/shared/job.h"

namespace glumet {

/// The fits of a project, one a configuration, made one after the other in the background. A fit of earlier
/// readings stays until the next is ready; one that was stopped is not begun again before something is
/// edited.
class FitShelf : public QObject {
    Q_OBJECT

  public:
    FitShelf() = default;

    /// Nothing while it has not been made.
    const SweepFit* of(const Configuration& configuration) const;
    /// Whether that is of all readings there are now.
    bool current(const Configuration& configuration) const { return asked_.contains(configuration); }
    /// Has it made, unless it is current or under way. The one that is looked at comes before those that
    /// wait, and is asked what it knows of heights too.
    void want(const Bench& bench, const Sweep& sweep, bool looked_at);
    /// Readings or descriptions were edited.
    void outdate();
    /// Another project.
    void forget();
    void cancel();
    bool busy() const { return job_.running(); }

  signals:
    void changed();  ///< begun, ready or given up

  private:
    void next();

    Job<SweepFit> job_;
    /// The last fit, to take further readings; the job's while one is under way.
    std::shared_ptr<KeptFit> kept_ = std::make_shared<KeptFit>();
    const Bench* bench_ = nullptr;
    struct Order {
        Sweep sweep;
        bool whole = false;  ///< with what it knows of heights
    };
    std::deque<Order> orders_;             ///< the front is under way
    std::map<Configuration, bool> asked_;  ///< whether whole
    std::map<Configuration, SweepFit> found_;
};

}  // namespace glumet
