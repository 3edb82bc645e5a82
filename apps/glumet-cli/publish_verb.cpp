#include <fmt/format.h>

#include <QFileInfo>
#include <cstdio>

#include "core/compare/kept_fits.h"
#include "core/fit/fit_as_described.h"
#include "core/words/sentence.h"
#include "files.h"
#include "project/project.h"
#include "report/review/publish.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

Expected<Configuration> configurationFor(const Bench& bench, const std::vector<Sweep>& sweeps,
                                         const std::string& name) {
    for (const auto& sweep : sweeps)
        if (configurationName(bench, sweep.configuration) == name) return sweep.configuration;
    for (const auto& sweep : sweeps)
        if (const auto* fixture = byId(bench.fixtures, sweep.configuration.fixture);
            fixture != nullptr && fixture->name == name)
            return sweep.configuration;
    return problem("", verbatim("no run has the fixture \"" + name + "\""));
}

Expected<std::vector<Configuration>> chosen(const Bench& bench, const PublishQuestion& question) {
    const auto sweeps = sweepsOf(bench);
    if (sweeps.empty()) return problem("", verbatim("the project holds no run"));
    std::vector<Configuration> out;
    for (const auto& name : question.fixtures) {
        const auto one = configurationFor(bench, sweeps, name);
        if (!one) return tl::make_unexpected(one.error());
        if (std::find(out.begin(), out.end(), *one) == out.end()) out.push_back(*one);
    }
    if (question.all && out.empty())
        for (const auto& sweep : sweeps)
            if (anyReading(bench, sweep)) out.push_back(sweep.configuration);
    if (out.empty()) out = chosenForReview(bench);
    if (out.empty()) out.push_back(sweeps.front().configuration);
    return out;
}

Expected<ReviewTemplate> sectionsFor(const Method& method, const std::string& named) {
    if (named.empty()) {
        if (method.review.empty()) return templateOr({});
        return parseTemplate(method.review);
    }
    for (const auto& ready : readyTemplates())
        if (ready.id == named) return parseTemplate(ready.text);
    return readAs(named, [](std::string_view bytes) { return parseTemplate(bytes); });
}

struct Published {
    QString title;
    QStringList files;
    Edition edition;
    std::vector<std::string> unknown;
};

Expected<Published> publishOne(const std::string& name, const std::string& folder,
                               const PublishQuestion& question) {
    const auto project = Project::look(path(name));
    if (!project) return tl::make_unexpected(project.error());
    const auto& bench = (*project)->bench();
    PublicationQuestion asked;
    const auto configurations = chosen(bench, question);
    if (!configurations) return problem(name, configurations.error().what);
    asked.configurations = *configurations;
    const auto sections = sectionsFor(bench.method, question.sections);
    if (!sections)
        return tl::make_unexpected(question.sections.empty() ? inFile(name, sections.error())
                                                             : sections.error());
    asked.sections = *sections;
    asked.unit = unitFrom(question.unit);
    asked.day = QString::fromStdString(question.day);
    const auto last = editionIn(path(folder));
    if (!last) return tl::make_unexpected(last.error());
    asked.last = *last;
    KeptFits fits([&](const Sweep& sweep) { return fitAsDescribed(bench, sweep); });
    const auto publication = publicationOf(bench, fits.asked(), asked);
    if (!publication) return problem(name, verbatim(english(publication.error())));
    const auto files = publishTo(path(folder), *publication);
    if (!files) return tl::make_unexpected(files.error());
    return Published{publication->title, *files, publication->edition, laidOut(*publication).unknown};
}

Json changesOf(const Edition& edition) {
    Json out = Json::array();
    for (const auto& change : edition.since)
        out.push_back({{"name", change.name}, {"before", change.before}, {"now", change.now}});
    return out;
}

}  // namespace

Expected<Output> publish(const PublishQuestion& question) {
    Json all = Json::array();
    std::string text;
    const bool several = question.projects.size() > 1;
    for (std::size_t i = 0; i < question.projects.size(); ++i) {
        const auto& name = question.projects[i];
        const std::string folder =
            several ? question.folder + "/" + QFileInfo(path(name)).completeBaseName().toStdString()
                    : question.folder;
        if (several)
            std::fprintf(stderr, "glumet-cli: %zu of %zu, %s\n", i + 1, question.projects.size(),
                         name.c_str());
        const auto done = publishOne(name, folder, question);
        if (!done) return tl::make_unexpected(done.error());
        Json files = Json::array();
        text += fmt::format("{}, edition {}\n", done->title.toStdString(), done->edition.number);
        for (const auto& file : done->files) {
            files.push_back(file.toStdString());
            text += "  " + folder + "/" + file.toStdString() + "\n";
        }
        for (const auto& unknown : done->unknown) text += "  nothing is called {{" + unknown + "}}\n";
        all.push_back({{"title", done->title.toStdString()},
                       {"folder", folder},
                       {"edition", done->edition.number},
                       {"sha256", done->edition.hash},
                       {"since", changesOf(done->edition)},
                       {"unknown", done->unknown},
                       {"files", std::move(files)}});
    }
    return Output{jsonText(several ? Json{{"published", all}} : all.front(), 2), text};
}

}  // namespace glumet::cli
