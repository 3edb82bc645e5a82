#include "core/verdicts/school_findings.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/words/finding.h"

namespace glumet {
namespace {

std::string spoken(HeightSchool school) {
    switch (school) {
        case HeightSchool::SpillLimit:
            return "spill limit";
        case HeightSchool::Flattest:
            return "flattest";
        case HeightSchool::BandFill:
            return "band fill";
        case HeightSchool::PeakCap:
            return "peak cap";
        case HeightSchool::MakersRange:
            return "maker's range";
    }
    return {};
}

std::string joined(const std::vector<std::string>& words) {
    std::string out;
    for (std::size_t i = 0; i < words.size(); ++i)
        out += (i == 0 ? "" : i + 1 == words.size() ? " and " : ", ") + words[i];
    return out;
}

bool agrees(const SchoolVerdict& school, Millimetre height) {
    const auto at = school.crossing.value_or(*school.height);
    return std::abs((at - height).value()) <= kSchoolsAgreeMm ||
           (school.low && school.high && *school.low <= height && height <= *school.high);
}

void capitalise(std::string& words) {
    if (!words.empty() && words[0] >= 'a' && words[0] <= 'z')
        words[0] = static_cast<char>(words[0] - 'a' + 'A');
}

}  // namespace

std::optional<Finding> schoolsFinding(const std::vector<SchoolVerdict>& schools,
                                      const SchoolVerdict& headline, const FindingContext& context) {
    if (!headline.height) return std::nullopt;
    const auto height = headline.crossing.value_or(*headline.height);
    std::vector<std::string> with;
    std::vector<std::string> against;
    std::vector<std::string> silent;
    for (const auto& school : schools) {
        if (school.school == headline.school) continue;
        const auto name = spoken(school.school);
        if (!school.speaks())
            silent.push_back(name);
        else if (agrees(school, height))
            with.push_back(name);
        else
            against.push_back(fmt::format("{} {}", name, lengthText(*school.height, context.unit)));
    }
    if (with.empty() && against.empty()) return std::nullopt;
    Finding finding;
    finding.kind = FindingKind::Fact;
    finding.view = EvidenceView::Height;
    finding.title =
        with.empty() ? "No other school agrees" : joined(with) + (with.size() == 1 ? " agrees" : " agree");
    capitalise(finding.title);
    if (!against.empty()) finding.body = fmt::format("Elsewhere: {}. ", joined(against));
    if (!silent.empty()) finding.body += fmt::format("Silent: {}.", joined(silent));
    if (finding.body.empty()) finding.body = "All that speak lie within its doubt.";
    while (finding.body.back() == ' ') finding.body.pop_back();
    return finding;
}

}  // namespace glumet
