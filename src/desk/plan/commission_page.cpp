#include "desk/plan/commission_page.h"

#include <QScrollArea>
#include <QVBoxLayout>

#include "core/bench/sweep.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kOfferInterval = 0.5;  // s

}  // namespace

CommissionPage::CommissionPage(Session& session)
    : session_(session), title_(makeLabel({}, TextRole::Heading)) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(title_);
    auto* holder = new QWidget;
    auto* rows = new QVBoxLayout(holder);
    rows->setContentsMargins(0, 0, 10, 0);
    rows->setSpacing(0);
    for (const auto kind : kCheckKinds) {
        auto* row = new CheckRow(session, kind);
        rows_[static_cast<std::size_t>(kind)] = row;
        rows->addWidget(row);
    }
    rows->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setWidget(holder);
    layout->addWidget(scroll, 1);
    auto* caution =
        makeLabel(tr("Dry hands at the plug, residual-current protection, no looking into the emitters, "
                     "nobody under the load while it is moved."),
                  TextRole::Muted);
    caution->setWordWrap(true);
    layout->addWidget(caution);
    connect(&session, &Session::meterChanged, this, &CommissionPage::listen);
    connect(&session, &Session::drawChanged, this, &CommissionPage::offer);
}

void CommissionPage::refresh() {
    const auto* run = session_.run();
    setEnabled(run != nullptr);
    title_->setText(run == nullptr
                        ? tr("Plan a run first; its checks are made here.")
                        : tr("%1 at %2")
                              .arg(text(configurationName(session_.bench(), configurationOf(*run))),
                                   session_.length(run->height)));
    if (run == nullptr) return;
    const auto states = commissionOf(session_.bench(), *run, session_.now().toStdString());
    for (const auto& state : states) row(state.kind)->refresh(state);
    offer();
}

void CommissionPage::showEvent(QShowEvent* /*event*/) { listen(); }

void CommissionPage::hideEvent(QHideEvent* /*event*/) { disconnect(samples_); }

void CommissionPage::listen() {
    disconnect(samples_);
    mean_.clear();
    warm_up_ = {};
    offered_s_ = -1.0;
    if (session_.meter() == nullptr || !isVisible()) return;
    samples_ = connect(session_.meter(), &Meter::sampled, this, &CommissionPage::onSample);
    session_.meter()->start();
}

void CommissionPage::onSample(double seconds, double ppfd) {
    mean_.add(Second(seconds), Ppfd(ppfd));
    warm_up_.add(Second(seconds), Ppfd(ppfd));
    if (offered_s_ >= 0.0 && seconds - offered_s_ < kOfferInterval) return;
    offered_s_ = seconds;
    offer();
}

void CommissionPage::offer() {
    const auto now = mean_.state();
    const QString mean = now ? QString::number(now->mean.value(), 'f', 1) : QString();
    const auto rate = warm_up_.rate();
    for (auto* row : rows_) row->offerLive({});
    row(CheckKind::Draw)
        ->offerLive(session_.draw() ? QString::number(session_.draw()->value(), 'f', 1) : QString());
    row(CheckKind::WarmUp)->offerRate(rate);
    row(CheckKind::WarmUp)->offerLive(rate ? QString::number(rate->per_minute * 100.0, 'f', 2) : QString());
    row(CheckKind::Dark)->offerLive(mean);
    row(CheckKind::MeterTruth)->offerLive(mean);
}

}  // namespace glumet
