#include "report/workbook.h"

#include <fmt/format.h>
#include <xlsxwriter.h>

#include <QDate>
#include <QFile>
#include <QTemporaryDir>
#include <array>
#include <map>

#include "core/bench/reading_row.h"
#include "core/words/sentence.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr std::array kReadingHeads{"run",   "height, mm", "depth, mm", "x, mm",  "y, mm", "PPFD",
                                   "least", "greatest",   "power, W",  "counts", "note",  "time"};
constexpr std::array kPlaneHeads{"height, mm", "depth, mm", "readings",    "mean",
                                 "least",      "greatest",  "least / mean"};
constexpr std::array kSchoolHeads{"school",   "height, mm", "between heights, mm",
                                  "from, mm", "to, mm",     "reason"};

constexpr lxw_row_t row(std::size_t number) { return static_cast<lxw_row_t>(number); }

class Workbook {
  public:
    Workbook(const FixtureReview& review, const QString& day) : review_(review), day_(day) {
        book_ = workbook_new(path_.toLocal8Bit().constData());
        head_ = workbook_add_format(book_);
        format_set_bold(head_);
        figure_ = workbook_add_format(book_);
        format_set_num_format(figure_, "0.0");
        share_ = workbook_add_format(book_);
        format_set_num_format(share_, "0%");
    }

    Expected<QByteArray> made() {
        setProperties();
        addReadings();
        addPlanes();
        addSchools();
        const auto error = workbook_close(book_);
        QFile file(path_);
        if (error != LXW_NO_ERROR || !file.open(QIODevice::ReadOnly))
            return problem("workbook", verbatim(lxw_strerror(error)));
        return file.readAll();
    }

  private:
    void setProperties() {
        title_ = QByteArray::fromStdString(review_.name);
        by_ = QByteArray::fromStdString(review_.bench.method.reviewer);
        lxw_doc_properties properties{};
        properties.title = title_.data();
        properties.author = by_.data();
        const auto day = QDate::fromString(day_.left(10), Qt::ISODate);
        properties.created = day.isValid() ? day.startOfDay(Qt::UTC).toSecsSinceEpoch() : 1;
        workbook_set_properties(book_, &properties);
    }

    template <std::size_t N>
    lxw_worksheet* sheet(const char* name, const std::array<const char*, N>& heads) {
        auto* made = workbook_add_worksheet(book_, name);
        for (std::size_t i = 0; i < N; ++i)
            worksheet_write_string(made, 0, static_cast<lxw_col_t>(i), heads[i], head_);
        worksheet_freeze_panes(made, 1, 0);
        worksheet_set_column(made, 0, static_cast<lxw_col_t>(N) - 1, 13, nullptr);
        return made;
    }

    static void number(lxw_worksheet* sheet, std::size_t at, int column, double value,
                       lxw_format* format = nullptr) {
        worksheet_write_number(sheet, row(at), static_cast<lxw_col_t>(column), value, format);
    }
    template <class Unit>
    static void number(lxw_worksheet* sheet, std::size_t at, int column,
                       const std::optional<Quantity<Unit>>& value, lxw_format* format = nullptr) {
        if (value) number(sheet, at, column, value->value(), format);
    }
    static void words(lxw_worksheet* sheet, std::size_t at, int column, const std::string& text) {
        worksheet_write_string(sheet, row(at), static_cast<lxw_col_t>(column), text.c_str(), nullptr);
    }

    void addReadings() {
        auto* to = sheet("Readings", kReadingHeads);
        std::size_t at = 1;
        for (const auto& line : rowsOf(review_.bench)) {
            const auto& reading = line.reading;
            words(to, at, 0, line.run.label);
            number(to, at, 1, line.run.height.value());
            number(to, at, 2, line.depth.value());
            number(to, at, 3, reading.x.value());
            number(to, at, 4, reading.y.value());
            number(to, at, 5, reading.mean.value(), figure_);
            number(to, at, 6, reading.min, figure_);
            number(to, at, 7, reading.max, figure_);
            number(to, at, 8, reading.power, figure_);
            number(to, at, 9, reading.counts() ? 1.0 : 0.0);
            words(to, at, 10, reading.note);
            words(to, at, 11, reading.time);
            ++at;
        }
        readings_ = at;
        worksheet_autofilter(to, 0, 0, row(std::max<std::size_t>(at - 1, 1)), kReadingHeads.size() - 1);
    }

    /// A figure over the readings of one plane that count: of the n-th line of the sheet.
    std::string over(const char* function, std::size_t at) const {
        const auto column = [&](char name) {
            return fmt::format("Readings!${0}$2:${0}${1}", name, readings_);
        };
        return fmt::format("={}({},{},$A{},{},$B{},{},1)", function, column('F'), column('B'), at + 1,
                           column('C'), at + 1, column('J'));
    }

    void addPlanes() {
        auto* to = sheet("Planes", kPlaneHeads);
        std::size_t at = 1;
        std::map<double, std::vector<std::size_t>> by_depth;
        for (const auto& plane : review_.rows) {
            const auto& s = plane.statistics;
            const auto formula = [&](int column, const std::string& words, double value, lxw_format* format) {
                worksheet_write_formula_num(to, row(at), static_cast<lxw_col_t>(column), words.c_str(),
                                            format, value);
            };
            number(to, at, 0, plane.height.value());
            number(to, at, 1, plane.depth.value());
            number(to, at, 2, s.n);
            formula(3, over("AVERAGEIFS", at), s.mean.value(), figure_);
            formula(4, over("_xlfn.MINIFS", at), s.min.value(), figure_);
            formula(5, over("_xlfn.MAXIFS", at), s.max.value(), figure_);
            formula(6, fmt::format("=E{0}/D{0}", at + 1), s.min_over_mean, share_);
            by_depth[plane.depth.value()].push_back(at);
            ++at;
        }
        if (at > 2) addChart(to, by_depth);
    }

    /// Mean against height, a line a depth. Lines of one depth stand at their own cells.
    void addChart(lxw_worksheet* to, const std::map<double, std::vector<std::size_t>>& by_depth) {
        auto* chart = workbook_add_chart(book_, LXW_CHART_SCATTER_STRAIGHT_WITH_MARKERS);
        for (const auto& [depth, lines] : by_depth) {
            const auto cells = [&lines = lines](char column) {
                std::string list;
                for (const auto at : lines)
                    list += fmt::format("{}Planes!${}${}", list.empty() ? "" : ",", column, at + 1);
                return lines.size() == 1 ? "=" + list : "=(" + list + ")";
            };
            auto* series = chart_add_series(chart, cells('A').c_str(), cells('D').c_str());
            chart_series_set_name(series, fmt::format("{:g} mm under water", depth).c_str());
        }
        chart_title_set_name(chart, "Mean PPFD against mounting height");
        chart_axis_set_name(chart->x_axis, "height above the water, mm");
        chart_axis_set_name(chart->y_axis, "µmol·m⁻²·s⁻¹");
        worksheet_insert_chart(to, 1, kPlaneHeads.size() + 1, chart);
    }

    void addSchools() {
        auto* to = sheet("Heights", kSchoolHeads);
        std::size_t at = 1;
        for (const auto& school : review_.schools) {
            words(to, at, 0, wordOf(school.school));
            number(to, at, 1, school.height);
            number(to, at, 2, school.crossing);
            number(to, at, 3, school.low);
            number(to, at, 4, school.high);
            words(to, at, 5, english(school.reason));
            ++at;
        }
        worksheet_set_column(to, kSchoolHeads.size() - 1, kSchoolHeads.size() - 1, 90, nullptr);
    }

    const FixtureReview& review_;
    const QString& day_;
    QTemporaryDir folder_;  // the library writes files, not bytes
    QString path_ = folder_.filePath(QStringLiteral("workbook.xlsx"));
    lxw_workbook* book_ = nullptr;
    lxw_format* head_ = nullptr;
    lxw_format* figure_ = nullptr;
    lxw_format* share_ = nullptr;
    std::size_t readings_ = 1;  ///< the last line of that sheet, as a spreadsheet counts
    QByteArray title_;
    QByteArray by_;
};

}  // namespace

Expected<QByteArray> workbookOf(const FixtureReview& review, const QString& day) {
    return Workbook(review, day).made();
}

}  // namespace glumet
