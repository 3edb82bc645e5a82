#pragma once

#include <QString>

#include "core/survey/survey_method.h"

namespace glumet {

/// The reviewer's own methods in a JSON file, from one project to the next.
class MethodStore {
  public:
    explicit MethodStore(QString path) : path_(std::move(path)) {}

    /// Those of the file; none when it is missing.
    Expected<std::vector<SurveyMethod>> load() const;
    /// Replaces the file whole.
    Expected<bool> save(const std::vector<SurveyMethod>& methods) const;

  private:
    QString path_;
};

}  // namespace glumet
