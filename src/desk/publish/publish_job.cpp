#include "desk/publish/publish_job.h"

#include "desk/shared/fit_job.h"
#include "report/review/publish.h"

namespace glumet {
namespace {

constexpr double kComputed = 0.7;  // of the progress; the rest is drawing and writing

Expected<Publication> computed(const Bench& bench, PublicationQuestion question, const Asked& asked) {
    auto fits = fitsAlone(bench, asked);
    question.stop = asked.stop;
    question.progress = [&asked](double share) { asked.progress(kComputed * share); };
    return publicationOf(bench, fits.asked(), question);
}

}  // namespace

Expected<ReadyPages> pagesInBackground(const std::shared_ptr<const Bench>& bench,
                                       PublicationQuestion question, const Asked& asked) {
    auto made = computed(*bench, std::move(question), asked);
    if (!made) return tl::make_unexpected(made.error());
    ReadyPages out;
    out.publication = std::make_shared<const Publication>(std::move(*made));
    out.laid = laidOut(*out.publication);
    auto pdf = pdfPagesOf(out.laid.document);
    if (!pdf) return tl::make_unexpected(pdf.error());
    out.pdf = std::move(*pdf);
    return out;
}

Expected<WrittenEdition> publishInBackground(const std::shared_ptr<const Bench>& bench,
                                             PublicationQuestion question, const QString& folder,
                                             const Asked& asked) {
    auto last = editionIn(folder);
    if (!last) return tl::make_unexpected(last.error());
    question.last = std::move(*last);
    const auto made = computed(*bench, std::move(question), asked);
    if (!made) return tl::make_unexpected(made.error());
    const auto files = publishTo(folder, *made, asked.stop);
    if (!files) return tl::make_unexpected(files.error());
    return WrittenEdition{folder, *files, made->edition};
}

}  // namespace glumet
