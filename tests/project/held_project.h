#pragma once

#include <QSqlDatabase>
#include <QSqlQuery>
#include <QString>

namespace glumet::testing {

/// Another program that has a project's write lock for as long as this lives.
class HeldProject {
  public:
    explicit HeldProject(const QString& path) {
        auto other = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), name());
        other.setDatabaseName(path);
        holds_ = other.open() && QSqlQuery(other).exec(QStringLiteral("BEGIN IMMEDIATE"));
    }
    HeldProject(const HeldProject&) = delete;
    HeldProject& operator=(const HeldProject&) = delete;
    ~HeldProject() { QSqlDatabase::removeDatabase(name()); }

    bool holds() const { return holds_; }

  private:
    static QString name() { return QStringLiteral("holder"); }
    bool holds_ = false;
};

}  // namespace glumet::testing
