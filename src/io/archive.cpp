#include "io/archive.h"

#include <fmt/format.h>
#include <zip.h>

#include "core/quantity/catalogue.h"
#include "io/refusal.h"

namespace uovo::io {
void Archive::Close::operator()(zip_t* z) const { zip_discard(z); }

tl::expected<Archive, Problem> Archive::open(const std::string& bytes) {
    zip_error_t error;
    zip_error_init(&error);
    zip_source_t* source = zip_source_buffer_create(bytes.data(), bytes.size(), 0, &error);
    zip_t* zip = source ? zip_open_from_source(source, ZIP_RDONLY | ZIP_CHECKCONS, &error) : nullptr;
    if (!zip && source) zip_source_free(source);
    zip_error_fini(&error);
    if (!zip) return damaged();
    Archive a;
    a.zip_.reset(zip);
    if (zip_get_num_entries(zip, 0) > static_cast<zip_int64_t>(kMostEntries))
        return refuse(say("The file is an archive of more than {} files.", kMostEntries));
    return a;
}

bool Archive::has(const std::string& name) const {
    return zip_name_locate(zip_.get(), name.c_str(), ZIP_FL_NOCASE) >= 0;
}

tl::expected<std::string, Problem> Archive::read(const std::string& name) {
    zip_stat_t what;
    if (zip_stat(zip_.get(), name.c_str(), ZIP_FL_NOCASE, &what) != 0 || !(what.valid & ZIP_STAT_SIZE) ||
        !(what.valid & ZIP_STAT_COMP_SIZE) || !(what.valid & ZIP_STAT_INDEX))
        return refuse(say("The file is damaged: “{}” is not in it.", name));
    if (what.size > kMostUnfolded - unfolded_ || what.size > 1'000'000 + kMostRatio * what.comp_size)
        return refuse(say("The file unfolds to {} MB; that is more than a model has.", what.size / 1'000'000));
    unfolded_ += what.size;
    std::string out(what.size, '\0');
    zip_file_t* file = zip_fopen_index(zip_.get(), what.index, 0);
    if (!file) return refuse(tr("The file is damaged, or is locked with a password."));
    const zip_int64_t n = zip_fread(file, out.data(), out.size());
    char more = 0;
    const bool whole = n == static_cast<zip_int64_t>(out.size()) &&
                       zip_fread(file, &more, 1) == 0;  // reading on to its end checks the sum
    zip_fclose(file);
    if (!whole) return refuse(tr("The file is damaged: what it unfolds to is not what it promised."));
    return out;
}

tl::expected<std::string, Problem> archived(const std::vector<std::pair<std::string, std::string>>& files) {
    const auto failed = [] { return refuse(tr("The archive could not be made: there is not enough memory.")); };
    zip_error_t error;
    zip_error_init(&error);
    zip_source_t* target = zip_source_buffer_create(nullptr, 0, 0, &error);
    zip_t* zip = target ? zip_open_from_source(target, ZIP_CREATE | ZIP_TRUNCATE, &error) : nullptr;
    zip_error_fini(&error);
    if (!zip) {
        if (target) zip_source_free(target);
        return failed();
    }
    zip_source_keep(target);
    constexpr time_t kWhen = 315'619'200;  // 1980-01-02: the same bytes every time
    for (const auto& [name, text] : files) {
        zip_source_t* content = zip_source_buffer(zip, text.data(), text.size(), 0);
        const zip_int64_t at = content ? zip_file_add(zip, name.c_str(), content, ZIP_FL_ENC_UTF_8) : -1;
        if (at >= 0) zip_file_set_mtime(zip, static_cast<zip_uint64_t>(at), kWhen, 0);
    }
    const bool closed = zip_get_num_entries(zip, 0) == static_cast<zip_int64_t>(files.size()) && zip_close(zip) == 0;
    if (!closed) zip_discard(zip);
    std::string out;
    zip_stat_t what;
    zip_stat_init(&what);
    if (closed && zip_source_stat(target, &what) == 0 && zip_source_open(target) == 0) {
        out.resize(what.size);
        if (zip_source_read(target, out.data(), out.size()) != static_cast<zip_int64_t>(out.size())) out.clear();
        zip_source_close(target);
    }
    zip_source_free(target);
    if (out.empty()) return failed();
    return out;
}

}  // namespace uovo::io
