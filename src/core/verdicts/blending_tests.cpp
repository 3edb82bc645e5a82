#include "core/verdicts/blending_tests.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/bench/grid.h"
#include "core/spectrum/bands.h"

namespace glumet {
namespace {

double xOf(const SpectrumRecord& record) { return record.x.value_or(Millimetre(0)).value(); }
double yOf(const SpectrumRecord& record) { return record.y.value_or(Millimetre(0)).value(); }

bool samePlace(const SpectrumRecord& a, const SpectrumRecord& b) {
    return std::abs(xOf(a) - xOf(b)) <= kSamePlaceMm && std::abs(yOf(a) - yOf(b)) <= kSamePlaceMm;
}

/// The later of each place, from the back to the front and from left to right.
std::vector<const SpectrumRecord*> placed(const std::vector<const SpectrumRecord*>& all) {
    std::vector<const SpectrumRecord*> out;
    for (const auto* record : all) {
        const auto known = std::find_if(out.begin(), out.end(),
                                        [&](const auto* other) { return samePlace(*other, *record); });
        if (known == out.end())
            out.push_back(record);
        else if ((*known)->time <= record->time)
            *known = record;
    }
    std::stable_sort(out.begin(), out.end(), [](const auto* a, const auto* b) {
        if (std::abs(yOf(*a) - yOf(*b)) > kSamePlaceMm) return yOf(*a) > yOf(*b);
        return xOf(*a) < xOf(*b);
    });
    return out;
}

std::size_t nearestToMiddle(const std::vector<const SpectrumRecord*>& points) {
    double x = 0.0;
    double y = 0.0;
    for (const auto* point : points) {
        x += xOf(*point) / static_cast<double>(points.size());
        y += yOf(*point) / static_cast<double>(points.size());
    }
    const auto away = [&](const SpectrumRecord* p) { return std::hypot(xOf(*p) - x, yOf(*p) - y); };
    const auto nearest = std::min_element(points.begin(), points.end(),
                                          [&](const auto* a, const auto* b) { return away(a) < away(b); });
    return static_cast<std::size_t>(nearest - points.begin());
}

BlendingTest testOf(const std::string& name, std::vector<const SpectrumRecord*> all,
                    const std::vector<SpectralBand>& bands) {
    BlendingTest test;
    test.name = name;
    test.over_time = all.size() > 1 && std::all_of(all.begin(), all.end(), [&](const auto* record) {
                         return samePlace(*record, *all.front());
                     });
    test.points = test.over_time ? std::move(all) : placed(all);
    if (!test.over_time) test.centre = nearestToMiddle(test.points);
    std::vector<Spectrum> spectra;
    for (const auto* point : test.points) spectra.push_back(point->spectrum);
    test.result = test.over_time ? blendingOverTime(spectra, bands) : blendingOf(spectra, test.centre, bands);
    return test;
}

}  // namespace

std::vector<BlendingTest> blendingTests(const Bench& bench, Id fixture) {
    std::map<std::string, std::vector<const SpectrumRecord*>> by_name;
    for (const auto& record : bench.spectra)
        if (record.fixture == fixture && !record.test.empty()) by_name[record.test].push_back(&record);
    std::vector<BlendingTest> tests;
    for (auto& [name, all] : by_name)
        tests.push_back(testOf(name, std::move(all), bandsOr(bench.method.bands)));
    std::stable_partition(tests.begin(), tests.end(),
                          [](const BlendingTest& test) { return !test.over_time; });
    return tests;
}

}  // namespace glumet
