// The least a Qt Widgets program can do: a window, painted; then it ends.
#include <QApplication>

#include "desk/window/first_paint.h"

int main(int argc, char** argv) {
    QApplication app(argc, argv);
    QWidget window;
    window.resize(1280, 800);
    const glumet::FirstPaint ready(window);
    window.show();
    return QApplication::exec();
}
