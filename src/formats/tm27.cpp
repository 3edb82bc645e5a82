#include <fmt/format.h>

#include <QXmlStreamReader>
#include <QXmlStreamWriter>

#include "core/base/limits.h"
#include "formats/spectrum_file.h"

namespace glumet {
namespace {

class Tm27Reader {
  public:
    explicit Tm27Reader(std::string_view bytes)
        : xml_(QByteArray::fromRawData(bytes.data(), static_cast<qsizetype>(bytes.size()))) {}

    Expected<FileSpectrum> read() {
        if (!xml_.readNextStartElement() ||
            !xml_.name().startsWith(QLatin1String("IESTM27"), Qt::CaseInsensitive))
            return problem("", say(GLUMET_SAY("Core", "is XML, but no TM-27 spectrum")));
        out_.unit = SpectralUnit::WattPerSquareMetre;
        while (!xml_.atEnd()) {
            if (xml_.readNext() != QXmlStreamReader::StartElement) continue;
            if (auto fault = element()) return tl::make_unexpected(std::move(*fault));
        }
        if (xml_.hasError())
            return problem("line " + std::to_string(xml_.lineNumber()),
                           verbatim(xml_.errorString().toStdString()));
        return spectrum_file::cleaned(std::move(out_), lines_);
    }

  private:
    std::optional<Problem> element() {
        const auto name = xml_.name();
        if (name == QLatin1String("Description") ||
            (name == QLatin1String("CatalogNumber") && out_.name.empty()))
            out_.name = xml_.readElementText(QXmlStreamReader::SkipChildElements).trimmed().toStdString();
        else if (name == QLatin1String("SpectralQuantity"))
            return quantity(xml_.readElementText(QXmlStreamReader::SkipChildElements).trimmed().toLower());
        else if (name == QLatin1String("SpectralData"))
            return value();
        return std::nullopt;
    }

    std::optional<Problem> quantity(const QString& what) {
        for (const char* other : {"absorptance", "transmittance", "reflectance", "r-values", "t-values"})
            if (what == QLatin1String(other))
                return Problem{"SpectralQuantity",
                               say(GLUMET_SAY("Core", "\"{}\" is not light"), what.toStdString())};
        out_.scale = what == QLatin1String("irradiance") ? SpectralScale::Absolute : SpectralScale::Relative;
        return std::nullopt;
    }

    std::optional<Problem> value() {
        const auto line = static_cast<int>(xml_.lineNumber());
        bool fine = false;
        const double nm = xml_.attributes().value(QLatin1String("wavelength")).toDouble(&fine);
        bool number = false;
        const double value =
            xml_.readElementText(QXmlStreamReader::SkipChildElements).trimmed().toDouble(&number);
        if (!fine || !number)
            return Problem{"line " + std::to_string(line),
                           say(GLUMET_SAY("Core", "is no wavelength with a value"))};
        if (out_.values.size() >= limits::kSpectrumPoints)
            return Problem{"", sayCounted(GLUMET_SAY_N("Core", "holds more than {} wavelengths"),
                                          countOf(limits::kSpectrumPoints))};
        out_.wavelength_nm.push_back(nm);
        out_.values.push_back(value);
        lines_.push_back(line);
        return std::nullopt;
    }

    QXmlStreamReader xml_;
    FileSpectrum out_;
    std::vector<int> lines_;
};

}  // namespace

FileSpectra readTm27(std::string_view bytes) {
    auto one = Tm27Reader(bytes).read();
    if (!one) return tl::make_unexpected(one.error());
    return std::vector<FileSpectrum>{std::move(*one)};
}

std::string writeTm27(const NamedSpectrum& one) {
    QByteArray bytes;
    QXmlStreamWriter xml(&bytes);
    xml.setAutoFormatting(true);
    xml.setAutoFormattingIndent(2);
    xml.writeStartDocument();
    xml.writeStartElement(QStringLiteral("IESTM2714"));
    xml.writeDefaultNamespace(QStringLiteral("iestm2714"));
    xml.writeAttribute(QStringLiteral("version"), QStringLiteral("1.0"));
    xml.writeStartElement(QStringLiteral("Header"));
    xml.writeTextElement(QStringLiteral("Description"), QString::fromStdString(one.name));
    xml.writeTextElement(QStringLiteral("DocumentCreator"), QStringLiteral("Glumet"));
    xml.writeEndElement();
    xml.writeStartElement(QStringLiteral("SpectralDistribution"));
    xml.writeTextElement(QStringLiteral("SpectralQuantity"), one.scale == SpectralScale::Absolute
                                                                 ? QStringLiteral("irradiance")
                                                                 : QStringLiteral("relative"));
    const auto watts = wattsFromPhotons(one.spectrum.wavelength_nm, one.spectrum.values);
    for (std::size_t i = 0; i < watts.size(); ++i) {
        xml.writeStartElement(QStringLiteral("SpectralData"));
        xml.writeAttribute(QStringLiteral("wavelength"),
                           QString::fromStdString(fmt::format("{}", one.spectrum.wavelength_nm[i])));
        xml.writeCharacters(QString::fromStdString(fmt::format("{:.9g}", watts[i])));
        xml.writeEndElement();
    }
    xml.writeEndDocument();
    return bytes.toStdString();
}

}  // namespace glumet
