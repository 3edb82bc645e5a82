#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPointer>
#include <QPushButton>

#include "desk/publish/pages_view.h"
#include "desk/publish/parts_list.h"
#include "desk/publish/publish_job.h"
#include "desk/shared/stage.h"

namespace glumet {

/// What goes into the review and in which order, on the left; its very pages, and the reviewer's own words
/// for the section that is chosen; the button that writes it.
class PublishStage : public Stage {
    Q_OBJECT

  public:
    explicit PublishStage(Session& session);
    ~PublishStage() override;

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return publish_; }
    QWidget* section() override { return side_; }
    bool busy() const override;

    /// Writes the review into a folder in the background and says where; also what the button does after
    /// asking for one.
    void publishInto(const QString& folder);
    /// Sections and words from a template file, and as one.
    void openTemplate(const QString& path);
    void saveTemplate(const QString& path);
    void askForTemplate();
    void askWhereToSaveTemplate();

  private:
    void makeSide();
    QWidget* makeSignature();
    QWidget* makeWords();
    void askAndPublish();
    void askPages();
    const ReadyPages* pages() const;
    std::vector<Configuration> configurations() const;
    PublicationQuestion question() const;
    AnswerKey key(const char* question) const;
    Revision revision() const;
    ReviewTemplate sections() const;
    void keepSections(const ReviewTemplate& sections);
    void keepSignature();
    void keepWords();
    void showWords();
    void showFixtures();
    void showForms();
    void showPlaceOfPart();
    void insertFigure(int index);
    void chooseForm(int index);
    void chooseFixture(QListWidgetItem* item);
    void takeWritten();

    QLabel* title_;
    QPushButton* publish_;
    QLineEdit* reviewer_;
    QComboBox* licence_;
    QLabel* nothing_;
    PagesView* view_;
    QLabel* words_of_;
    QPlainTextEdit* words_;
    QComboBox* figures_;
    QPointer<QWidget> side_;
    PartsList* parts_;
    QListWidget* fixtures_;
    QComboBox* forms_;
    std::optional<ReviewSection> words_part_;  ///< that the words belong to; nothing: the beginning
    QString folder_;                           ///< published into last, since the project was opened
    QString project_;
    std::int64_t written_ = 0;  ///< times published
    std::int64_t told_ = 0;
};

/// What the window is told of this stage.
StageEntry publishEntry();

}  // namespace glumet
