#pragma once

#include <algorithm>
#include <cstdio>
#include <fstream>
#include <nlohmann/json.hpp>
#include <string>
#include <vector>

namespace glumet {

/// Figures of a benchmark: printed as a table line by line, kept for a JSON file.
class Results {
  public:
    void add(const std::string& key, const std::string& what, double value, const char* unit,
             const char* bar) {
        json_[key] = {{"what", what}, {"value", value}, {"unit", unit}, {"bar", bar}};
        std::printf("%-58s %9.2f %-4s %s\n", what.c_str(), value, unit, bar);
        std::fflush(stdout);
    }
    /// Adds to what the file holds already, so that several programs share one.
    void write(const char* file) const {
        nlohmann::ordered_json all = nlohmann::ordered_json::object();
        if (std::ifstream old(file); old) all = nlohmann::ordered_json::parse(old, nullptr, false);
        if (!all.is_object()) all = nlohmann::ordered_json::object();
        all.update(json_);
        std::ofstream(file) << all.dump(2) << "\n";
    }

  private:
    nlohmann::ordered_json json_ = nlohmann::ordered_json::object();
};

inline double middle(std::vector<double> values) {
    std::nth_element(values.begin(), values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2),
                     values.end());
    return values[values.size() / 2];
}

}  // namespace glumet
