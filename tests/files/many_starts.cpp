// Preloaded into a program under test, it has it run again and again without being loaded anew: what is asked
// on standard input is run in a fork of the program as it stands before its main, and its end told on
// standard output. Asked: the size of what follows (32 bits), then texts, each ended by a zero: the folder it
// runs in, where its output and its errors go, how many variables its environment has and those, and its
// arguments from the program's name on. Told: the signal that ended it or 0, and its exit code (32 bits
// each).
#include <dlfcn.h>
#include <fcntl.h>
#include <stdint.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cstdlib>
#include <cstring>
#include <string>
#include <vector>

namespace {

using Main = int (*)(int, char**, char**);
Main program = nullptr;

bool readAll(void* to, size_t size) {
    for (size_t got = 0; got < size;) {
        const auto now = read(STDIN_FILENO, static_cast<char*>(to) + got, size - got);
        if (now <= 0) return false;
        got += static_cast<size_t>(now);
    }
    return true;
}

void redirect(int file, const char* path, int how) {
    const int opened = open(path, how, 0600);
    if (opened < 0 || dup2(opened, file) < 0) _exit(126);
    close(opened);
}

[[noreturn]] void become(std::vector<char*> texts) {
    auto next = texts.begin();
    if (chdir(*next++) != 0) _exit(126);
    redirect(STDIN_FILENO, "/dev/null", O_RDONLY);
    redirect(STDOUT_FILENO, *next++, O_WRONLY | O_CREAT | O_TRUNC);
    redirect(STDERR_FILENO, *next++, O_WRONLY | O_CREAT | O_TRUNC);
    clearenv();
    for (int variables = atoi(*next++); variables > 0; --variables) putenv(*next++);
    std::vector<char*> arguments(next, texts.end());
    arguments.push_back(nullptr);
    exit(program(static_cast<int>(arguments.size()) - 1, arguments.data(), environ));
}

int serve(int /*argc*/, char** /*argv*/, char** /*environment*/) {
    uint32_t size = 0;
    while (readAll(&size, sizeof size)) {
        std::vector<char> bytes(size);
        if (!readAll(bytes.data(), size)) return 1;
        std::vector<char*> texts;
        for (size_t at = 0; at < bytes.size(); at += strlen(&bytes[at]) + 1) texts.push_back(&bytes[at]);
        const auto child = fork();
        if (child == 0) become(std::move(texts));
        int status = 0;
        waitpid(child, &status, 0);
        const int32_t told[] = {WIFSIGNALED(status) ? WTERMSIG(status) : 0, WEXITSTATUS(status)};
        if (write(STDOUT_FILENO, told, sizeof told) != sizeof told) return 1;
    }
    return 0;
}

}  // namespace

extern "C" int __libc_start_main(Main main, int argc, char** argv, void (*init)(), void (*fini)(),
                                 void (*rtld_fini)(), void* stack_end) {
    using Start = int (*)(Main, int, char**, void (*)(), void (*)(), void (*)(), void*);
    program = main;
    return reinterpret_cast<Start>(dlsym(RTLD_NEXT, "__libc_start_main"))(serve, argc, argv, init, fini,
                                                                          rtld_fini, stack_end);
}
