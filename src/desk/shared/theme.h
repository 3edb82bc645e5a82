#pragma once

#include <QString>

#include "report/palette.h"

class QApplication;
class QLabel;
class QWidget;
class QCustomPlot;

namespace glumet {

/// The style sheet that dresses every stock control in a palette.
QString styleSheetFor(const Palette& palette);

/// Dresses the whole program: colours and font of the application, the style sheet of its window, whose
/// dialogs and menus take it from there. An application's own sheet would be worked out anew for every part
/// of a stage at every step of its building.
void applyTheme(QApplication& application, QWidget& window, const Palette& palette);

/// Kinds of text, told to the style sheet by a property so that a theme change re-colours them.
enum class TextRole { Title, Heading, Body, Muted, Figure, Accent, Problem };
QLabel* makeLabel(const QString& text, TextRole role, QWidget* parent = nullptr);
void setRole(QLabel* label, TextRole role);

/// Restyles a plot: no frame, quiet grid, house fonts.
void dressPlot(QCustomPlot& plot, const Palette& palette);

}  // namespace glumet
