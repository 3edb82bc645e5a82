#include "desk/bench/bench_stage.h"

#include "desk/bench/goal_rows.h"

namespace glumet {

FormColumn::Write BenchStage::methodWriter(std::function<QString(Method&, const QString&)> change) {
    return [this, change = std::move(change)](const QString& typed) -> QString {
        Method method = session().bench().method;
        const QString fault = change(method, typed);
        if (!fault.isEmpty()) return fault;
        return session().edit(
            [&](Project& project) { return project.saveMethod(text(session().bench().title), method); });
    };
}

void BenchStage::fillMethodForm() {
    right_->addHeading(tr("What it is judged for"));
    addGoalRows(session(), *right_);
}

void BenchStage::fillReadingRows() {
    right_->addFold(tr("How it is read"));
    right_->addText(
        tr("title"), [this] { return text(session().bench().title); },
        [this](const QString& typed) -> QString {
            return session().edit([&](Project& project) {
                return project.saveMethod(typed.trimmed(), session().bench().method);
            });
        });
    right_->addText(
        tr("settled within"),
        [this] { return text(percentText(session().bench().method.settled_relative_error)); },
        methodWriter([](Method& m, const QString& typed) -> QString {
            const auto percent = parseNumber(QString(typed).remove(QLatin1Char('%')).toStdString());
            if (!percent || *percent <= 0.0 || *percent > 20.0)
                return tr("A reading settles within 0.1 to 20 %; 2 % is usual.");
            m.settled_relative_error = *percent / 100.0;
            return {};
        }));
}

void BenchStage::fillCheckRows() {
    right_
        ->addText(
            tr("check point every"),
            [this] {
                const int every = session().bench().method.check_every;
                return every == 0 ? QString() : tr("%1 readings").arg(every);
            },
            methodWriter([](Method& m, const QString& typed) -> QString {
                const auto word = typed.trimmed().section(QLatin1Char(' '), 0, 0);
                bool whole = true;
                const int every = word.isEmpty() ? 0 : word.toInt(&whole);
                if (!whole || every < 0 || every > 1000 || every == 1)
                    return tr("A number of readings from 2 to 1000, or nothing for no check points.");
                m.check_every = every;
                return {};
            }),
            tr("never"))
        ->setObjectName(QStringLiteral("checkEvery"));
}

}  // namespace glumet
