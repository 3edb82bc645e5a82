#pragma once

#include <QComboBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>
#include <functional>
#include <vector>

#include "desk/shared/session.h"

namespace glumet {

/// Rows of name and value that write straight to the project: each field reads its text from the bench and
/// gives back what was typed. A text that cannot be taken is marked, the reason said, and nothing changes.
class FormColumn : public QWidget {
    Q_OBJECT

  public:
    using Read = std::function<QString()>;
    /// Empty on success, else the sentence that says why not.
    using Write = std::function<QString(const QString&)>;
    using ReadIndex = std::function<int()>;
    using WriteIndex = std::function<QString(int)>;

    explicit FormColumn(Session& session);

    void addHeading(const QString& text, QWidget* beside = nullptr);
    QLineEdit* addText(const QString& name, Read read, Write write, const QString& hint = {});
    QComboBox* addChoice(const QString& name, const QStringList& options, ReadIndex read, WriteIndex write);
    /// A choice in the line of the last heading, which it names.
    QComboBox* addHeadingChoice(const QString& name, ReadIndex read, WriteIndex write);
    /// A widget over both columns.
    void addWide(QWidget* widget);
    /// From here to the next heading or fold the rows are hidden until they are asked for.
    void addFold(const QString& name);
    /// Takes a field out of its row, for a drawing to place; it is read and written as before.
    QLineEdit* lift(const QString& object_name);
    /// The name beside a field of addText().
    QLabel* nameOf(const QLineEdit* field) const;
    void addStretch();
    /// Lets the fields be as narrow as several columns side by side need.
    void letShrink();

    /// Done at each refresh, before the fields are read: fills lists that change.
    void onRefresh(std::function<void()> fill) { fills_.push_back(std::move(fill)); }

    /// Shows what the bench holds now; a field being typed in, or whose text was refused, is left alone.
    void refresh();
    /// The same for another row of the bench: refused texts go with the row they were typed for.
    void refreshAnew();

  protected:
    /// The wheel passes by choices. A field whose own typing cannot be undone any more leaves Ctrl+Z to the
    /// project.
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    struct TextField {
        QLineEdit* edit;
        QLabel* name;
        Read read;
        Write write;
        QLabel* reason = nullptr;  ///< beside the field, while its text is refused
    };
    struct ChoiceField {
        QComboBox* combo;
        ReadIndex read;
    };
    QComboBox* makeChoice(const QString& name, ReadIndex read, WriteIndex write);
    void addRow(QLabel* name, QWidget* field);
    void putIntoFold(QWidget* part);
    void finish(TextField& field);
    void refuse(TextField& field, const QString& reason);
    void accept(TextField& field);
    bool giveUp(QLineEdit* edit);

    Session& session_;
    QGridLayout* grid_;
    QHBoxLayout* heading_ = nullptr;
    QPushButton* fold_ = nullptr;  ///< of the rows that are being added
    std::vector<TextField> texts_;
    std::vector<ChoiceField> choices_;
    std::vector<std::function<void()>> fills_;
};

}  // namespace glumet
