#include "formats/zip_archive.h"

#include <zip.h>

#include <memory>

namespace glumet {
namespace {

constexpr zip_uint64_t kMostMembers = 10'000;
constexpr zip_uint32_t kLevel = 6;  // of 9
constexpr zip_uint16_t kNoTime = 0;
constexpr zip_uint16_t kNoDate = 0x21;  // the first of January 1980, where zip's calendar begins

Problem broken() { return {"", say(GLUMET_SAY("Core", "is no archive that can be read"))}; }

/// Paths that stay within the archive.
bool staysInside(std::string_view name) {
    if (name.empty() || name.front() == '/' || name.find('\\') != std::string_view::npos ||
        name.find(':') != std::string_view::npos)
        return false;
    for (std::size_t from = 0; from <= name.size();) {
        const auto to = std::min(name.find('/', from), name.size());
        if (name.substr(from, to - from) == "..") return false;
        from = to + 1;
    }
    return true;
}

struct Discard {
    void operator()(zip_t* archive) const { zip_discard(archive); }
};
struct CloseFile {
    void operator()(zip_file_t* file) const { zip_fclose(file); }
};
struct FreeSource {
    void operator()(zip_source_t* source) const { zip_source_free(source); }
};

/// The bytes that a closed archive left in its source.
Expected<std::string> bytesOf(zip_source_t* source) {
    zip_stat_t stat;
    if (zip_source_stat(source, &stat) != 0 || zip_source_open(source) != 0)
        return tl::make_unexpected(broken());
    std::string bytes(static_cast<std::size_t>(stat.size), '\0');
    const auto read = zip_source_read(source, bytes.data(), bytes.size());
    zip_source_close(source);
    if (read != static_cast<zip_int64_t>(bytes.size())) return tl::make_unexpected(broken());
    return bytes;
}

Expected<std::string> memberOf(zip_t* archive, zip_uint64_t index, std::size_t size) {
    const std::unique_ptr<zip_file_t, CloseFile> file(zip_fopen_index(archive, index, 0));
    std::string bytes(size, '\0');
    // Its checksum is looked at with the last byte.
    if (!file || zip_fread(file.get(), bytes.data(), size) != static_cast<zip_int64_t>(size))
        return tl::make_unexpected(broken());
    char beyond = 0;
    if (zip_fread(file.get(), &beyond, 1) != 0) return tl::make_unexpected(broken());
    return bytes;
}

}  // namespace

Expected<std::string> zipOf(const std::vector<ArchiveMember>& members) {
    zip_error_t error;
    zip_error_init(&error);
    std::unique_ptr<zip_source_t, FreeSource> target(zip_source_buffer_create(nullptr, 0, 0, &error));
    if (!target) return tl::make_unexpected(broken());
    zip_source_keep(target.get());
    std::unique_ptr<zip_t, Discard> archive(zip_open_from_source(target.get(), ZIP_TRUNCATE, &error));
    if (!archive) return tl::make_unexpected(broken());
    for (const auto& member : members) {
        if (!staysInside(member.name))
            return problem(member.name, say(GLUMET_SAY("Core", "leads out of the archive")));
        auto* source = zip_source_buffer(archive.get(), member.bytes.data(), member.bytes.size(), 0);
        const auto index = source == nullptr
                               ? -1
                               : zip_file_add(archive.get(), member.name.c_str(), source, ZIP_FL_ENC_UTF_8);
        if (index < 0) {
            zip_source_free(source);
            return tl::make_unexpected(broken());
        }
        zip_file_set_dostime(archive.get(), static_cast<zip_uint64_t>(index), kNoTime, kNoDate, 0);
        // Of itself the library takes the highest level: three times as long for three hundredths less.
        zip_set_file_compression(archive.get(), static_cast<zip_uint64_t>(index), ZIP_CM_DEFLATE, kLevel);
    }
    if (zip_close(archive.get()) != 0) return tl::make_unexpected(broken());
    archive.release();  // closed is gone
    return bytesOf(target.get());
}

bool looksLikeZip(std::string_view bytes) { return bytes.substr(0, 4) == std::string_view("PK\x03\x04", 4); }

Expected<std::vector<ArchiveMember>> unzipped(std::string_view bytes, std::size_t most) {
    zip_error_t error;
    zip_error_init(&error);
    auto* source = zip_source_buffer_create(bytes.data(), bytes.size(), 0, &error);
    if (source == nullptr) return tl::make_unexpected(broken());
    const std::unique_ptr<zip_t, Discard> archive(
        zip_open_from_source(source, ZIP_RDONLY | ZIP_CHECKCONS, &error));
    if (!archive) {
        zip_source_free(source);
        return tl::make_unexpected(broken());
    }
    const auto count = static_cast<zip_uint64_t>(zip_get_num_entries(archive.get(), 0));
    if (count > kMostMembers) return problem("", say(GLUMET_SAY("Core", "holds too many files")));
    std::vector<ArchiveMember> members;
    std::size_t all = 0;
    for (zip_uint64_t i = 0; i < count; ++i) {
        zip_stat_t stat;
        if (zip_stat_index(archive.get(), i, 0, &stat) != 0) return tl::make_unexpected(broken());
        const std::string name = stat.name;
        if (!staysInside(name)) return problem(name, say(GLUMET_SAY("Core", "leads out of the archive")));
        if (name.back() == '/') continue;
        if (stat.size > most - all)
            return problem("", say(GLUMET_SAY("Core", "unpacks to more than can be read")));
        all += static_cast<std::size_t>(stat.size);
        auto member = memberOf(archive.get(), i, static_cast<std::size_t>(stat.size));
        if (!member) return problem(name, say(GLUMET_SAY("Core", "is damaged")));
        members.push_back({name, std::move(*member)});
    }
    return members;
}

}  // namespace glumet
