#include "report/page/markdown.h"

#include <cmark.h>

#include <algorithm>
#include <memory>

namespace glumet {
namespace {

constexpr int kDeepestHeading = 4;
constexpr int kDeepest = 32;  // quotes in quotes, emphasis in emphasis: nobody writes more

using Node = cmark_node;

std::string literalOf(Node* node) {
    const char* literal = cmark_node_get_literal(node);
    return literal == nullptr ? std::string() : std::string(literal);
}

/// Only what a reader may follow without harm.
bool harmless(std::string_view url) {
    return url.starts_with("https://") || url.starts_with("http://") || url.starts_with("mailto:");
}

class Reader {
  public:
    Reader(int top_level, const NamedValues& values, std::vector<std::string>* unknown)
        : top_level_(top_level), values_(values), unknown_(unknown) {}

    std::vector<Block> blocks(Node* parent, ProseTone tone) {
        for (Node* node = cmark_node_first_child(parent); node != nullptr; node = cmark_node_next(node))
            block(node, tone);
        return std::move(out_);
    }

  private:
    /// Counts how deep the words are nested while it lives.
    struct Deeper {
        explicit Deeper(int& depth) : depth_(depth) { ++depth_; }
        ~Deeper() { --depth_; }
        Deeper(const Deeper&) = delete;
        Deeper& operator=(const Deeper&) = delete;
        int& depth_;
    };

    void block(Node* node, ProseTone tone) {
        const Deeper deeper(depth_);
        if (depth_ > kDeepest) return;
        switch (cmark_node_get_type(node)) {
            case CMARK_NODE_HEADING:
                out_.emplace_back(
                    Heading{std::min(top_level_ + cmark_node_get_heading_level(node) - 1, kDeepestHeading),
                            inlines(node)});
                return;
            case CMARK_NODE_PARAGRAPH:
                out_.emplace_back(Paragraph{inlines(node), tone});
                return;
            case CMARK_NODE_LIST:
                list(node, tone);
                return;
            case CMARK_NODE_BLOCK_QUOTE:
                for (Node* child = cmark_node_first_child(node); child != nullptr;
                     child = cmark_node_next(child))
                    block(child, ProseTone::Opinion);
                return;
            case CMARK_NODE_CODE_BLOCK:
            case CMARK_NODE_HTML_BLOCK:
                out_.emplace_back(Paragraph{{Span{verbatim(literalOf(node)), false, false, true}}, tone});
                return;
            default:
                return;
        }
    }

    void list(Node* node, ProseTone tone) {
        Bullets bullets;
        bullets.ordered = cmark_node_get_list_type(node) == CMARK_ORDERED_LIST;
        bullets.tone = tone;
        for (Node* item = cmark_node_first_child(node); item != nullptr; item = cmark_node_next(item)) {
            Prose text;
            collect(item, {}, text);
            bullets.items.push_back(std::move(text));
        }
        out_.emplace_back(std::move(bullets));
    }

    Prose inlines(Node* node) {
        Prose text;
        collect(node, {}, text);
        return text;
    }

    void collect(Node* parent, const Span& style, Prose& text) {
        for (Node* node = cmark_node_first_child(parent); node != nullptr; node = cmark_node_next(node))
            one(node, style, text);
    }

    void one(Node* node, Span style, Prose& text) {
        const Deeper deeper(depth_);
        if (depth_ > kDeepest) return;
        switch (cmark_node_get_type(node)) {
            case CMARK_NODE_TEXT:
                named(literalOf(node), style, text);
                return;
            case CMARK_NODE_SOFTBREAK:
            case CMARK_NODE_LINEBREAK:
                add(" ", style, text);
                return;
            case CMARK_NODE_CODE:
            case CMARK_NODE_HTML_INLINE:
                style.code = true;
                add(literalOf(node), style, text);
                return;
            case CMARK_NODE_EMPH:
                style.emphasis = true;
                break;
            case CMARK_NODE_STRONG:
                style.strong = true;
                break;
            case CMARK_NODE_LINK:
                if (const char* url = cmark_node_get_url(node); url != nullptr && harmless(url))
                    style.link = url;
                break;
            default:  // an image is its alternative text; a list within a list runs on
                break;
        }
        collect(node, style, text);
    }

    /// Text with {{name}} in it.
    void named(std::string_view literal, const Span& style, Prose& text) {
        while (true) {
            const auto begin = literal.find("{{");
            const auto end = begin == std::string_view::npos ? begin : literal.find("}}", begin);
            if (end == std::string_view::npos) break;
            add(literal.substr(0, begin), style, text);
            const std::string name(literal.substr(begin + 2, end - begin - 2));
            if (const auto at = values_.find(name); at != values_.end()) {
                text.push_back(style);
                text.back().words = at->second;
            } else {
                if (unknown_ != nullptr) unknown_->push_back(name);
                add(literal.substr(begin, end + 2 - begin), style, text);
            }
            literal.remove_prefix(end + 2);
        }
        add(literal, style, text);
    }

    static void add(std::string_view literal, const Span& style, Prose& text) {
        if (literal.empty()) return;
        text.push_back(style);
        text.back().words = verbatim(std::string(literal));
    }

    int top_level_;
    const NamedValues& values_;
    std::vector<std::string>* unknown_;
    std::vector<Block> out_;
    int depth_ = 0;
};

}  // namespace

std::vector<Block> markdownBlocks(std::string_view markdown, int top_level, const NamedValues& values,
                                  std::vector<std::string>* unknown) {
    const std::unique_ptr<Node, decltype(&cmark_node_free)> root(
        cmark_parse_document(markdown.data(), markdown.size(), CMARK_OPT_VALIDATE_UTF8 | CMARK_OPT_SMART),
        &cmark_node_free);
    if (root == nullptr) return {};
    cmark_consolidate_text_nodes(root.get());
    return Reader(top_level, values, unknown).blocks(root.get(), ProseTone::Own);
}

}  // namespace glumet
