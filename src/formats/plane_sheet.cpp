#include "formats/plane_sheet.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cctype>
#include <set>

namespace glumet {
namespace {

enum class Word { Other, Height, Depth };

constexpr std::array kHeightWords{"height", "high",    "h",    "above",  "over",
                                  "lamp",   "mounted", "hung", "hanging"};
constexpr std::array kDepthWords{"depth", "deep", "d", "under", "below", "plane"};
/// Words that may stand between a meaning and its figure: "height over the water is about 25".
constexpr std::array kFillers{"at", "of", "is", "the", "water", "surface", "about"};

template <std::size_t N>
bool isOneOf(const std::array<const char*, N>& words, const std::string& word) {
    return std::find(words.begin(), words.end(), word) != words.end();
}

/// A word or a length of a title, lower case.
struct Token {
    std::string text;
    std::optional<Millimetre> length;
    bool after_break = false;  ///< a comma, bracket or cell border lies before it
    bool used = false;         ///< a word that has given a figure its meaning

    Word meaning() const {
        if (used || length) return Word::Other;
        if (isOneOf(kHeightWords, text)) return Word::Height;
        return isOneOf(kDepthWords, text) ? Word::Depth : Word::Other;
    }
};

bool isDigit(char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0; }
bool partOfNumber(char c) { return isDigit(c) || c == '.' || c == ',' || c == '/'; }
bool partOfWord(char c) { return std::isalpha(static_cast<unsigned char>(c)) != 0 || c == '"'; }

/// Words and figures as they stand; a comma at the end of a figure is a break, not a decimal mark.
std::vector<Token> piecesOf(const std::string& title) {
    std::vector<Token> pieces;
    bool broken = false;
    for (std::size_t i = 0; i < title.size();) {
        Token piece;
        const bool number = isDigit(title[i]);
        while (i < title.size() && (number ? partOfNumber(title[i]) : partOfWord(title[i])))
            piece.text += static_cast<char>(std::tolower(static_cast<unsigned char>(title[i++])));
        if (piece.text.empty()) {
            broken |= title[i] != ' ' && title[i] != '=' && title[i] != ':';
            ++i;
            continue;
        }
        const auto whole = piece.text.size();
        while (!piece.text.empty() &&
               (piece.text.back() == ',' || piece.text.back() == '.' || piece.text.back() == '/'))
            piece.text.pop_back();
        piece.after_break = broken;
        broken = piece.text.size() < whole;
        pieces.push_back(piece);
    }
    return pieces;
}

bool isUnit(const std::string& piece) {
    static const std::set<std::string> units{"mm", "cm", "m", "in", "inch", "\""};
    return units.contains(piece);
}

/// Joins figures with their fractions and units into lengths and drops the fillers.
std::vector<Token> tokensOf(const std::string& title, LengthUnit assumed) {
    std::vector<Token> tokens;
    const auto pieces = piecesOf(title);
    const auto next_is = [&](std::size_t i, auto test) {
        return i + 1 < pieces.size() && !pieces[i + 1].after_break && test(pieces[i + 1].text);
    };
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        Token token = pieces[i];
        if (!isDigit(token.text.front())) {
            if (!isOneOf(kFillers, token.text)) tokens.push_back(token);
            continue;
        }
        if (next_is(i, [](const std::string& text) { return text.find('/') != std::string::npos; }))
            token.text += " " + pieces[++i].text;
        if (next_is(i, isUnit)) token.text += " " + pieces[++i].text;
        token.length = parseLength(token.text, assumed);
        tokens.push_back(token);
    }
    return tokens;
}

void assign(Token& word, Millimetre length, SheetBlock& block) {
    const auto meaning = word.meaning();
    word.used = true;
    if (meaning == Word::Height && !block.height) block.height = length;
    if (meaning == Word::Depth && !block.depth) block.depth = length;
}

/// "height 25 depth 15": every meaning word is followed by its figure.
bool wordsLead(const std::vector<Token>& tokens) {
    for (std::size_t i = 0; i < tokens.size(); ++i)
        if (tokens[i].meaning() != Word::Other && (i + 1 == tokens.size() || !tokens[i + 1].length))
            return false;
    return true;
}

/// A figure means what the word right before it says, else, unless words lead throughout, the word right
/// after it if nothing parts them. Each word speaks once; a figure without one ("Osier 60") means nothing.
void readTitle(const std::string& title, LengthUnit assumed, SheetBlock& block) {
    auto tokens = tokensOf(title, assumed);
    const bool lead = wordsLead(tokens);
    for (std::size_t i = 0; i < tokens.size(); ++i) {
        if (!tokens[i].length) continue;
        if (i > 0 && tokens[i - 1].meaning() != Word::Other)
            assign(tokens[i - 1], *tokens[i].length, block);
        else if (!lead && i + 1 < tokens.size() && !tokens[i + 1].after_break)
            assign(tokens[i + 1], *tokens[i].length, block);
    }
}

std::string joined(const std::vector<std::string>& cells) {
    std::string text;
    for (const auto& cell : cells) {
        if (cell.empty()) continue;
        if (!text.empty()) text += ", ";
        text += cell;
    }
    return text;
}

/// A line as numbers: a leading label is skipped, empty cells at the end too.
struct NumberLine {
    std::vector<double> values;
    std::vector<Words> faults;
    bool is_numbers = false;
};

NumberLine numbersOf(const DelimitedText& text, const TextRow& row) {
    auto cells = row.cells;
    while (!cells.empty() && cells.back().empty()) cells.pop_back();
    const bool labelled = cells.size() > 2 && !cells.front().empty() && !cellNumber(text, cells.front());
    if (cells.size() > 2 && (labelled || cells.front().empty())) cells.erase(cells.begin());
    NumberLine line;
    const auto numbers = std::count_if(cells.begin(), cells.end(),
                                       [&](const auto& cell) { return cellNumber(text, cell).has_value(); });
    line.is_numbers = cells.size() >= 2 && 2 * numbers > static_cast<std::ptrdiff_t>(cells.size());
    if (!line.is_numbers) return line;
    for (std::size_t i = 0; i < cells.size(); ++i) {
        const auto number = cellNumber(text, cells[i]);
        if (!number)
            line.faults.push_back(cells[i].empty()
                                      ? say(GLUMET_SAY("Core", "value {} is empty"), countOf(i + 1))
                                      : say(GLUMET_SAY("Core", "value {}, \"{}\", is not a number"),
                                            countOf(i + 1), cells[i].substr(0, 40)));
        else if (*number < 0.0)
            line.faults.push_back(say(GLUMET_SAY("Core", "value {} is negative"), countOf(i + 1)));
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
        if (sheet_.blocks.empty())
            sheet_.problems.push_back({"", say(GLUMET_SAY("Core", "holds no block of numbers"))});
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
            sheet_.problems.push_back(
                {where, sayCounted(GLUMET_SAY_N("Core", "has {} values, the line above has {}"),
                                   countOf(numbers.values.size()), countOf(block.rows.front().size()))});
        block.rows.push_back(numbers.values);
    }

    void beginBlock(int line) {
        SheetBlock block;
        block.line = line;
        for (auto title = titles_.rbegin(); title != titles_.rend(); ++title)
            readTitle(*title, assumed_, block);
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

std::optional<Millimetre> pitchOf(std::optional<Millimetre> given, std::optional<Millimetre> extent,
                                  std::size_t count) {
    if (given || !extent || count == 0) return given;
    return *extent / static_cast<double>(count);
}

bool positive(std::optional<Millimetre> length) { return length && length->value() > 0.0; }

void checkBlock(const SheetBlock& block, const SheetAnswers& answers, std::vector<Problem>& missing) {
    const auto where = fmt::format("block at line {}", block.line);
    const auto height = block.height ? block.height : answers.height;
    if (!height) missing.push_back({where, say(GLUMET_SAY("Core", "the mounting height is missing"))});
    if (height && height->value() <= 0.0)
        missing.push_back({where, say(GLUMET_SAY("Core", "the mounting height must be above 0"))});
    if (!positive(pitchOf(answers.pitch_x, answers.length, block.rows.front().size())) ||
        !positive(pitchOf(answers.pitch_y, answers.width, block.rows.size())))
        missing.push_back({where, say(GLUMET_SAY("Core", "the distance between the points is missing"))});
    if (!block.depth && !answers.depth)
        missing.push_back({where, say(GLUMET_SAY("Core", "the depth is missing"))});
}

void addBlock(const SheetBlock& block, const SheetAnswers& answers, std::vector<ReadingRow>& rows) {
    const auto count = block.rows.size();
    const auto pitch_x = *pitchOf(answers.pitch_x, answers.length, block.rows.front().size());
    const auto pitch_y = *pitchOf(answers.pitch_y, answers.width, count);
    for (std::size_t typed = 0; typed < count; ++typed)
        for (std::size_t column = 0; column < block.rows[typed].size(); ++column) {
            const auto from_front = answers.top_row_is_back ? count - 1 - typed : typed;
            ReadingRow row;
            row.run.label = answers.run;
            row.fixture = answers.fixture;
            row.tank = answers.tank;
            row.run.height = block.height ? *block.height : *answers.height;
            row.depth = block.depth ? *block.depth : *answers.depth;
            row.reading.x = pitch_x * (static_cast<double>(column) + 0.5);
            row.reading.y = pitch_y * (static_cast<double>(from_front) + 0.5);
            row.reading.mean = Ppfd(block.rows[typed][column]);
            rows.push_back(row);
        }
}

}  // namespace

PlaneSheet readPlaneSheet(const DelimitedText& text, LengthUnit assumed) {
    return SheetReader(text, assumed).read();
}

Checked<std::vector<ReadingRow>> rowsOfSheet(const PlaneSheet& sheet, const SheetAnswers& answers) {
    std::vector<Problem> missing = sheet.problems;
    if (answers.run.empty()) missing.push_back({"", say(GLUMET_SAY("Core", "the run needs a name"))});
    if (answers.fixture.empty()) missing.push_back({"", say(GLUMET_SAY("Core", "the fixture needs a name"))});
    for (const auto& block : sheet.blocks) checkBlock(block, answers, missing);
    if (!missing.empty()) return tl::make_unexpected(missing);
    std::vector<ReadingRow> rows;
    for (const auto& block : sheet.blocks) addBlock(block, answers, rows);
    return rows;
}

}  // namespace glumet
