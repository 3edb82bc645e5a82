#include "desk/shared/theme.h"

#include <qcustomplot.h>
#include <QApplication>
#include <QLabel>
#include <QStyle>
#include <QStyleFactory>

namespace glumet {
namespace {

const char* const kSheet = R"(
QWidget { color: @text; font-family: "Glumet Text"; font-size: 13px; }
QMainWindow, #stageArea { background: @ground; }
QDialog { background: @panel; border: 1px solid @line; }
#sideColumn { background: @panel; }
#projectButton { color: @text; }
#ledger, #topBar { background: @panel; }
QLabel { background: transparent; }
QLabel[role="title"] { font-size: 17px; font-weight: bold; }
QLabel[role="heading"] { font-size: 14px; font-weight: bold; }
QLabel[role="muted"] { color: @muted; }
QLabel[role="figure"] { font-size: 24px; font-weight: bold; }
QLabel[role="accent"], QLabel[role="problem"] { color: @accent; font-weight: bold; }
QLineEdit, QComboBox, QSpinBox, QDoubleSpinBox, QPlainTextEdit {
  background: @raised; border: 1px solid transparent; border-bottom: 1px solid @line; border-radius: 3px; padding: 4px 7px;
  selection-background-color: @accent; selection-color: @on_accent; }
QLineEdit:hover, QComboBox:hover { border-bottom-color: @muted; }
QLineEdit:focus, QComboBox:focus, QPlainTextEdit:focus, QDoubleSpinBox:focus { border: 1px solid @accent; }
QLineEdit[wrong="true"] { border: 2px dashed @accent; }
QComboBox::drop-down { border: none; width: 18px; }
QComboBox::down-arrow { image: url(:/icons/down.svg); width: 10px; height: 10px; margin-right: 6px; }
#formColumn QLineEdit, #formColumn QComboBox { background: transparent; border: 1px solid transparent; border-bottom: 1px solid @line; border-radius: 0; padding: 2px 5px; }
#formColumn QLineEdit:hover, #formColumn QComboBox:hover { background: @panel; }
#formColumn QLineEdit:focus, #formColumn QComboBox:focus { background: @raised; border: 1px solid @accent; }
#formColumn QLineEdit[wrong="true"] { border: 2px dashed @accent; }
#refusal { background: @panel; border: 1px solid @accent; border-radius: 3px; padding: 3px 6px; font-size: 12px; }
QPushButton[fold="true"] { text-align: left; padding: 4px 0; color: @muted; }
QComboBox QAbstractItemView { background: @raised; border: 1px solid @line; selection-background-color: @accent; selection-color: @on_accent; outline: 0; }
QPushButton, QToolButton { background: @raised; border: 1px solid @line; border-radius: 4px; padding: 6px 14px; }
QFileDialog QToolButton { padding: 3px; }
QPushButton:hover, QToolButton:hover { border-color: @muted; }
QPushButton:focus, QToolButton:focus { border-color: @accent; }
QPushButton:pressed { background: @line; }
QPushButton:disabled { color: @muted; border-color: @raised; }
QPushButton[primary="true"] { background: @accent; color: @on_accent; border-color: @accent; font-weight: bold; }
QPushButton[primary="true"]:focus { border: 2px solid @text; padding: 5px 13px; }
QPushButton[primary="true"]:disabled { background: @raised; color: @muted; border-color: @line; }
QPushButton[quiet="true"] { background: transparent; border: 1px solid transparent; padding: 4px 8px; color: @muted; }
QPushButton[quiet="true"]:hover { color: @text; }
QPushButton[quiet="true"]:focus { border-color: @accent; color: @text; }
QPushButton[quiet="true"]:checked { color: @text; font-weight: bold; }
QPushButton[trouble="true"] { color: @accent; font-weight: bold; }
QPushButton[segment="true"] { border-radius: 0; padding: 5px 8px; color: @muted; }
QPushButton[key="true"] { padding: 5px 8px; }
QPushButton[segment="true"]:checked { background: @line; color: @text; font-weight: bold; }
QPushButton[segment="true"]:focus { border-color: @accent; }
QMenu { background: @raised; border: 1px solid @line; padding: 5px 0; }
QMenu::item { padding: 6px 26px 6px 16px; }
QMenu::item:selected { background: @line; }
QMenu::separator { height: 1px; background: @line; margin: 4px 0; }
QTableView, QListView, QTreeView { background: transparent; border: none; gridline-color: @line; outline: 0;
  selection-background-color: @raised; selection-color: @text; font-size: 12px; }
QTableView { border-bottom: 1px solid @ground; }
QTableView:focus { border-bottom: 1px solid @accent; }
QHeaderView { background: transparent; border: none; }
QHeaderView::section { background: transparent; color: @muted; border: none; border-bottom: 1px solid @line; padding: 4px 6px; font-family: "Glumet Text"; font-size: 12px; }
QListView { font-family: "Glumet Text"; font-size: 14px; background: transparent; }
QListView::item { padding: 5px 8px; border-radius: 3px; }
QListView::indicator { width: 12px; height: 12px; border: 1px solid @muted; border-radius: 3px; background: transparent; }
QListView::indicator:checked { background: @text; border-color: @text; }
QListView::indicator:disabled { border-color: @line; }
QListView:focus { border-bottom: 1px solid @accent; }
QTableView::item { padding: 2px 6px; border: none; }
QTableView::item:selected, QListView::item:selected { background: @line; color: @text; }
QScrollArea { background: transparent; border: none; }
QScrollArea > QWidget > QWidget { background: transparent; }
QScrollBar:vertical { background: transparent; width: 9px; margin: 0; }
QScrollBar::handle:vertical { background: @line; border-radius: 4px; min-height: 24px; }
QScrollBar:horizontal { background: transparent; height: 9px; }
QScrollBar::handle:horizontal { background: @line; border-radius: 4px; min-width: 24px; }
QScrollBar::add-line, QScrollBar::sub-line, QScrollBar::add-page, QScrollBar::sub-page { background: none; border: none; height: 0; width: 0; }
QToolTip { background: @raised; color: @text; border: 1px solid @line; padding: 4px 6px; }
QCheckBox { spacing: 8px; }
QCheckBox::indicator { width: 14px; height: 14px; border: 1px solid @muted; border-radius: 3px; background: @raised; }
QCheckBox::indicator:checked { background: @accent; border-color: @accent; }
QCheckBox:focus { color: @accent; }
)";

const char* wordOf(TextRole role) {
    switch (role) {
        case TextRole::Title:
            return "title";
        case TextRole::Heading:
            return "heading";
        case TextRole::Body:
            return "body";
        case TextRole::Muted:
            return "muted";
        case TextRole::Figure:
            return "figure";
        case TextRole::Accent:
            return "accent";
        case TextRole::Problem:
            return "problem";
    }
    return "body";
}

}  // namespace

QString styleSheetFor(const Palette& p) {
    QString sheet = QString::fromLatin1(kSheet);
    // Longer names first: @on_accent holds no other name, but @accent must not eat it.
    for (const auto& [name, colour] : {std::pair{"@on_accent", p.on_accent},
                                       {"@ground", p.ground},
                                       {"@panel", p.panel},
                                       {"@raised", p.raised},
                                       {"@line", p.line},
                                       {"@text", p.text},
                                       {"@muted", p.muted},
                                       {"@accent", p.accent}})
        sheet.replace(QLatin1String(name), colour.name());
    return sheet;
}

void applyTheme(QApplication& application, QWidget& window, const Palette& p) {
    houseFont(13);  // loads the shipped fonts
    QPalette palette;
    palette.setColor(QPalette::Window, p.ground);
    palette.setColor(QPalette::Base, p.raised);
    palette.setColor(QPalette::AlternateBase, p.panel);
    palette.setColor(QPalette::Text, p.text);
    palette.setColor(QPalette::WindowText, p.text);
    palette.setColor(QPalette::Button, p.raised);
    palette.setColor(QPalette::ButtonText, p.text);
    palette.setColor(QPalette::Highlight, p.accent);
    palette.setColor(QPalette::HighlightedText, p.on_accent);
    palette.setColor(QPalette::PlaceholderText, p.muted);
    application.setPalette(palette);
    application.setFont(houseFont(13));
    window.setStyleSheet(styleSheetFor(p));
}

QLabel* makeLabel(const QString& text, TextRole role, QWidget* parent) {
    auto* label = new QLabel(text, parent);
    label->setProperty("role", QString::fromLatin1(wordOf(role)));
    return label;
}

void setRole(QLabel* label, TextRole role) {
    const QString word = QString::fromLatin1(wordOf(role));
    if (label->property("role").toString() == word) return;
    label->setProperty("role", word);
    label->style()->unpolish(label);
    label->style()->polish(label);
}

void dressPlot(QCustomPlot& plot, const Palette& p) {
    plot.setBackground(QBrush(p.ground));
    for (auto* axis : {plot.xAxis, plot.yAxis}) {
        axis->setBasePen(QPen(p.line));
        axis->setTickPen(QPen(Qt::NoPen));
        axis->setSubTickPen(QPen(Qt::NoPen));
        axis->setTickLabelColor(p.muted);
        axis->setLabelColor(p.muted);
        axis->setTickLabelFont(houseFont(11));
        axis->setLabelFont(houseFont(12));
        axis->grid()->setPen(QPen(p.line, 1.0));
        axis->grid()->setZeroLinePen(QPen(p.line, 1.0));
    }
    plot.yAxis->setBasePen(QPen(Qt::NoPen));
    plot.xAxis->grid()->setVisible(false);
}

}  // namespace glumet
