#pragma once

#include <QByteArray>
#include <QString>
#include <string>
#include <vector>

#include "core/base/problem.h"

namespace glumet {

/// A figure of a publication by its name, as it is read.
struct NamedFigure {
    std::string name;
    std::string said;  ///< in English, mm and µmol·m⁻²·s⁻¹

    bool operator==(const NamedFigure&) const = default;
};

/// A figure that another edition said otherwise.
struct ChangedFigure {
    std::string name;
    std::string before;  ///< empty: new
    std::string now;     ///< empty: gone

    bool operator==(const ChangedFigure&) const = default;
};

/// One edition of a publication, as edition.json in its folder keeps it.
struct Edition {
    int number = 1;
    std::string day;   ///< ISO date
    std::string hash;  ///< SHA-256 of the data, the sections and the reviewer's words
    std::vector<NamedFigure> figures;
    std::vector<ChangedFigure> since;  ///< the edition before
    struct Earlier {
        int number = 1;
        std::string day;
        std::string hash;

        bool operator==(const Earlier&) const = default;
    };
    std::vector<Earlier> earlier;  ///< oldest first

    bool operator==(const Edition&) const = default;
};

/// The edition of these figures after what a folder holds: the same number, and what it says of the one
/// before, where the hash is the same; else the next, with what has changed.
Edition editionAfter(const Edition* last, std::string day, std::string hash,
                     std::vector<NamedFigure> figures);

/// What a folder's edition.json says; nullopt where there is none. One that does not read is a problem:
/// writing over it would lose what it keeps.
Expected<std::optional<Edition>> editionIn(const QString& folder);
QByteArray jsonOf(const Edition& edition);
Expected<Edition> parseEdition(const QByteArray& json);

}  // namespace glumet
