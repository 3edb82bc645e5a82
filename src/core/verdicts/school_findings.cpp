#include "core/verdicts/school_findings.h"

#include <algorithm>
#include <cmath>

#include "core/words/finding.h"

namespace glumet {
namespace {

Words nameOf(HeightSchool school) {
    switch (school) {
        case HeightSchool::SpillLimit:
            return say(GLUMET_SAY("Core", "spill limit"));
        case HeightSchool::Flattest:
            return say(GLUMET_SAY("Core", "flattest"));
        case HeightSchool::BandFill:
            return say(GLUMET_SAY("Core", "band fill"));
        case HeightSchool::PeakCap:
            return say(GLUMET_SAY("Core", "peak cap"));
        case HeightSchool::MakersRange:
            return say(GLUMET_SAY("Core", "maker's range"));
    }
    return {};
}

bool agrees(const SchoolVerdict& school, Millimetre height) {
    const auto at = school.crossing.value_or(*school.height);
    return std::abs((at - height).value()) <= kSchoolsAgreeMm ||
           (school.low && school.high && *school.low <= height && height <= *school.high);
}

}  // namespace

std::optional<Finding> schoolsFinding(const std::vector<SchoolVerdict>& schools,
                                      const SchoolVerdict& headline) {
    if (!headline.height) return std::nullopt;
    const auto height = headline.crossing.value_or(*headline.height);
    Listed with;
    Listed against;
    Listed silent;
    for (const auto& school : schools) {
        if (school.school == headline.school) continue;
        const auto name = nameOf(school.school);
        if (!school.speaks())
            silent.items.push_back(name);
        else if (agrees(school, height))
            with.items.push_back(name);
        else
            against.items.push_back(say(GLUMET_SAY("Core", "{} {}"), name, *school.height));
    }
    if (with.items.empty() && against.items.empty()) return std::nullopt;
    Finding finding;
    finding.kind = FindingKind::Fact;
    finding.view = EvidenceView::Height;
    finding.title = with.items.empty() ? Words(say(GLUMET_SAY("Core", "No other school agrees")))
                                       : Words(say(with.items.size() == 1 ? GLUMET_SAY("Core", "{} agrees")
                                                                          : GLUMET_SAY("Core", "{} agree"),
                                                   with))
                                             .capitalised();
    if (!against.items.empty()) finding.body += say(GLUMET_SAY("Core", "Elsewhere: {}."), against);
    if (!silent.items.empty()) finding.body += say(GLUMET_SAY("Core", "Silent: {}."), silent);
    if (finding.body.empty()) finding.body = say(GLUMET_SAY("Core", "All that speak lie within its doubt."));
    return finding;
}

}  // namespace glumet
