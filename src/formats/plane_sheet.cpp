#include "formats/plane_sheet.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cctype>
#include <set>

namespace glumet {
namespace {

enum class Word { Other, Height, Depth };

constexpr std::array kHeightWords{"height", "high", "h", "above", "over", "lamp", "fixture", "light", "mounted", "hung"};
constexpr std::array kDepthWords{"depth", "deep", "d", "under", "below", "plane", "water"};

Word meaningOf(const std::string& word) {
    if (std::find(kHeightWords.begin(), kHeightWords.end(), word) != kHeightWords.end()) return Word::Height;
    if (std::find(kDepthWords.begin(), kDepthWords.end(), word) != kDepthWords.end()) return Word::Depth;
    return Word::Other;
}

struct Token {
    std::string text;  ///< lower case
    bool is_length = false;
    Millimetre length{0};
};

bool partOfNumber(char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0 || c == '.' || c == ',' || c == '/'; }
bool partOfWord(char c) { return std::isalpha(static_cast<unsigned char>(c)) != 0 || c == '"'; }

std::vector<std::string> piecesOf(const std::string& title) {
    std::vector<std::string> pieces;
    for (std::size_t i = 0; i < title.size();) {
        const auto take = [&](auto belongs) {
            std::string piece;
            while (i < title.size() && belongs(title[i])) piece += static_cast<char>(std::tolower(static_cast<unsigned char>(title[i++])));
            while (!piece.empty() && (piece.back() == ',' || piece.back() == '.')) piece.pop_back();
            if (!piece.empty()) pieces.push_back(piece);
        };
        if (std::isdigit(static_cast<unsigned char>(title[i])) != 0)
            take(partOfNumber);
        else if (partOfWord(title[i]))
            take(partOfWord);
        else
            ++i;
    }
    return pieces;
}

bool isUnit(const std::string& piece) {
    static const std::set<std::string> units{"mm", "cm", "m", "in", "inch", "\""};
    return units.contains(piece);
}

std::vector<Token> tokensOf(const std::string& title, LengthUnit assumed) {
    std::vector<Token> tokens;
    const auto pieces = piecesOf(title);
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        if (std::isdigit(static_cast<unsigned char>(pieces[i].front())) == 0) {
            tokens.push_back({pieces[i]});
            continue;
        }
        std::string text = pieces[i];
        const bool fraction_follows = i + 1 < pieces.size() && pieces[i + 1].find('/') != std::string::npos;
        if (fraction_follows) text += " " + pieces[++i];
        if (i + 1 < pieces.size() && isUnit(pieces[i + 1])) text += " " + pieces[++i];
        if (const auto length = parseLength(text, assumed)) tokens.push_back({text, true, *length});
    }
    return tokens;
}

/// Gives each length its meaning: by the nearest meaning word before it since the last length, else by
/// the first one after it before the next.
void readTitle(const std::string& title, LengthUnit assumed, SheetBlock& block) {
    const auto tokens = tokensOf(title, assumed);
    std::size_t previous_end = 0;
    for (std::size_t i = 0; i < tokens.size(); ++i) {
        if (!tokens[i].is_length) continue;
        Word meaning = Word::Other;
        for (std::size_t k = i; k > previous_end && meaning == Word::Other; --k) meaning = meaningOf(tokens[k - 1].text);
        std::size_t end = i + 1;
        if (meaning == Word::Other)
            for (; end < tokens.size() && !tokens[end].is_length && meaning == Word::Other; ++end) meaning = meaningOf(tokens[end].text);
        previous_end = end;
        if (meaning == Word::Height && !block.height) block.height = tokens[i].length;
        if (meaning == Word::Depth && !block.depth) block.depth = tokens[i].length;
    }
}

std::string joined(const std::vector<std::string>& cells) {
    std::string text;
    for (const auto& cell : cells) {
        if (cell.empty()) continue;
        if (!text.empty()) text += ' ';
        text += cell;
    }
    return text;
}

/// A line as numbers: a leading label is skipped, empty cells at the end too.
struct NumberLine {
    std::vector<double> values;
    std::vector<std::string> faults;
    bool is_numbers = false;
};

NumberLine numbersOf(const DelimitedText& text, const TextRow& row) {
    auto cells = row.cells;
    while (!cells.empty() && cells.back().empty()) cells.pop_back();
    const bool labelled = cells.size() > 2 && !cells.front().empty() && !cellNumber(text, cells.front());
    if (cells.size() > 2 && (labelled || cells.front().empty())) cells.erase(cells.begin());
    NumberLine line;
    const auto numbers = std::count_if(cells.begin(), cells.end(), [&](const auto& cell) { return cellNumber(text, cell).has_value(); });
    line.is_numbers = cells.size() >= 2 && 2 * numbers > static_cast<std::ptrdiff_t>(cells.size());
    if (!line.is_numbers) return line;
    for (std::size_t i = 0; i < cells.size(); ++i) {
        const auto number = cellNumber(text, cells[i]);
        if (!number)
            line.faults.push_back(cells[i].empty() ? fmt::format("value {} is empty", i + 1)
                                                   : fmt::format("value {}, \"{}\", is not a number", i + 1, cells[i].substr(0, 40)));
        else if (*number < 0.0)
            line.faults.push_back(fmt::format("value {} is negative", i + 1));
        line.values.push_back(number.value_or(0.0));
    }
    return line;
}

class SheetReader {
  public:
    SheetReader(const DelimitedText& text, LengthUnit assumed) : text_(text), assumed_(assumed) {}

    PlaneSheet read() {
        for (const auto& row : text_.rows) {
            const auto numbers = numbersOf(text_, row);
            const bool apart = row.line != last_line_ + 1;
            if (!numbers.is_numbers) {
                if (in_block_ || apart) titles_.clear();
                in_block_ = false;
                titles_.push_back(joined(row.cells));
            } else {
                addNumbers(row.line, numbers, apart);
            }
            last_line_ = row.line;
        }
        if (sheet_.blocks.empty()) sheet_.problems.push_back({"", "holds no block of numbers"});
        return std::move(sheet_);
    }

  private:
    void addNumbers(int line, const NumberLine& numbers, bool apart) {
        if (!in_block_ || apart) beginBlock(line);
        in_block_ = true;
        auto& block = sheet_.blocks.back();
        const auto where = fmt::format("line {}", line);
        for (const auto& fault : numbers.faults) sheet_.problems.push_back({where, fault});
        if (!block.rows.empty() && numbers.values.size() != block.rows.front().size())
            sheet_.problems.push_back({where, fmt::format("has {} values, the line above has {}", numbers.values.size(), block.rows.front().size())});
        block.rows.push_back(numbers.values);
    }

    void beginBlock(int line) {
        SheetBlock block;
        block.line = line;
        for (auto title = titles_.rbegin(); title != titles_.rend(); ++title) readTitle(*title, assumed_, block);
        block.title = titles_.empty() ? "" : titles_.front();
        titles_.clear();
        sheet_.blocks.push_back(block);
    }

    const DelimitedText& text_;
    LengthUnit assumed_;
    PlaneSheet sheet_;
    std::vector<std::string> titles_;
    bool in_block_ = false;
    int last_line_ = -1;
};

std::optional<Millimetre> pitchOf(std::optional<Millimetre> given, std::optional<Millimetre> extent, std::size_t count) {
    if (given || !extent || count == 0) return given;
    return *extent / static_cast<double>(count);
}

bool positive(std::optional<Millimetre> length) { return length && length->value() > 0.0; }

void checkBlock(const SheetBlock& block, const SheetAnswers& answers, std::vector<Problem>& missing) {
    const auto where = fmt::format("block at line {}", block.line);
    const auto height = block.height ? block.height : answers.height;
    if (!height) missing.push_back({where, "the mounting height is missing"});
    if (height && height->value() <= 0.0) missing.push_back({where, "the mounting height must be above 0"});
    if (!positive(pitchOf(answers.pitch_x, answers.length, block.rows.front().size())) ||
        !positive(pitchOf(answers.pitch_y, answers.width, block.rows.size())))
        missing.push_back({where, "the distance between the points is missing"});
    if (!block.depth && !answers.depth) missing.push_back({where, "the depth is missing"});
}

void addBlock(const SheetBlock& block, const SheetAnswers& answers, std::vector<ReadingRow>& rows) {
    const auto count = block.rows.size();
    const auto pitch_x = *pitchOf(answers.pitch_x, answers.length, block.rows.front().size());
    const auto pitch_y = *pitchOf(answers.pitch_y, answers.width, count);
    for (std::size_t typed = 0; typed < count; ++typed)
        for (std::size_t column = 0; column < block.rows[typed].size(); ++column) {
            const auto from_front = answers.top_row_is_back ? count - 1 - typed : typed;
            ReadingRow row;
            row.run = answers.run;
            row.fixture = answers.fixture;
            row.tank = answers.tank;
            row.height = block.height ? *block.height : *answers.height;
            row.depth = block.depth ? *block.depth : *answers.depth;
            row.reading.x = pitch_x * (static_cast<double>(column) + 0.5);
            row.reading.y = pitch_y * (static_cast<double>(from_front) + 0.5);
            row.reading.mean = Ppfd(block.rows[typed][column]);
            rows.push_back(row);
        }
}

}  // namespace

PlaneSheet readPlaneSheet(const DelimitedText& text, LengthUnit assumed) { return SheetReader(text, assumed).read(); }

Checked<std::vector<ReadingRow>> rowsOfSheet(const PlaneSheet& sheet, const SheetAnswers& answers) {
    std::vector<Problem> missing = sheet.problems;
    if (answers.run.empty()) missing.push_back({"", "the run needs a name"});
    if (answers.fixture.empty()) missing.push_back({"", "the fixture needs a name"});
    for (const auto& block : sheet.blocks) checkBlock(block, answers, missing);
    if (!missing.empty()) return tl::make_unexpected(missing);
    std::vector<ReadingRow> rows;
    for (const auto& block : sheet.blocks) addBlock(block, answers, rows);
    return rows;
}

}  // namespace glumet
