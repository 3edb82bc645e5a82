#include "report/palette.h"

#include <QFontDatabase>

namespace glumet {
namespace {

QColor hex(const char* text) { return QColor(QLatin1String(text)); }

/// The shipped cuts are added to the program when first asked for; it costs a few milliseconds.
QString houseFamily() {
    static const bool loaded = [] {
        for (const char* cut : {"Regular", "Bold"})
            QFontDatabase::addApplicationFont(
                QStringLiteral(":/fonts/GlumetText-%1.otf").arg(QLatin1String(cut)));
        return true;
    }();
    Q_UNUSED(loaded)
    return QStringLiteral("Glumet Text");
}

}  // namespace

const Palette& dimRoom() {
    static const Palette palette{hex("#171513"),
                                 hex("#1F1C19"),
                                 hex("#2A2622"),
                                 hex("#3A342D"),
                                 hex("#EDE6DA"),
                                 hex("#A3988A"),
                                 hex("#F0A848"),
                                 hex("#1A1408"),
                                 hex("#5FA8A0"),
                                 hex("#1B2A2D"),
                                 true};
    return palette;
}

const Palette& paper() {
    static const Palette palette{hex("#F7F3EB"), hex("#EFE9DE"), hex("#FFFDF8"), hex("#CFC6B6"),
                                 hex("#221E19"), hex("#665D50"), hex("#9A5300"), hex("#FFFDF8"),
                                 hex("#22706A"), hex("#DCE7E4"), false};
    return palette;
}

QColor colourOf(Rgb rgb) { return {rgb.red, rgb.green, rgb.blue}; }

QColor tideColour(double ppfd, double top) { return colourOf(tide(top > 0.0 ? ppfd / top : 0.0)); }

QColor inkFor(const QColor& ground) { return colourOf(inkOn({ground.red(), ground.green(), ground.blue()})); }

QFont houseFont(double pixel_size, bool bold) {
    QFont font(houseFamily());
    font.setPixelSize(qMax(1, qRound(pixel_size)));
    font.setBold(bold);
    // Shaping would replace signs beside digits, which then cannot be copied out of a PDF.
    font.setStyleStrategy(QFont::PreferNoShaping);
    // Fitting outlines to pixels was a quarter of the start and makes 200 % differ from 100 %.
    font.setHintingPreference(QFont::PreferNoHinting);
    return font;
}

}  // namespace glumet
