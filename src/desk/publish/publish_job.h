#pragma once

#include <memory>

#include "desk/shared/answer_store.h"
#include "report/page/pdf_page.h"
#include "report/review/publication.h"

namespace glumet {

/// A publication with its pages, as they would be written.
struct ReadyPages {
    std::shared_ptr<const Publication> publication;
    LaidOut laid;  ///< refers to it
    PdfPages pdf;
};

/// What is to be published, computed and laid out in the background.
Expected<ReadyPages> pagesInBackground(const std::shared_ptr<const Bench>& bench,
                                       PublicationQuestion question, const Asked& asked);

/// What was written where.
struct WrittenEdition {
    QString folder;
    QStringList files;
    Edition edition;
};

/// The same, after the edition that lies in the folder, and written there.
Expected<WrittenEdition> publishInBackground(const std::shared_ptr<const Bench>& bench,
                                             PublicationQuestion question, const QString& folder,
                                             const Asked& asked);

}  // namespace glumet
