// Preloaded into a program under test. Files below FAILING_DISK_UNDER are counted write by write; at number
// FAILING_DISK_AT the disk is full from then on ("full"), reports a fault once ("fault"), takes half of what
// it is given and is full then ("short"), or the program is killed ("kill"), by FAILING_DISK_HOW.
#include <dlfcn.h>
#include <fcntl.h>
#include <signal.h>
#include <stdarg.h>
#include <sys/syscall.h>
#include <unistd.h>

#include <cerrno>
#include <climits>
#include <cstdio>
#include <cstdlib>
#include <cstring>

namespace {

int counted = 0;

template <class Function>
Function real(const char* name) {
    return reinterpret_cast<Function>(dlsym(RTLD_NEXT, name));
}

bool meant(int file) {
    const char* under = getenv("FAILING_DISK_UNDER");
    if (under == nullptr) return false;
    char link[64];
    char path[PATH_MAX];
    snprintf(link, sizeof link, "/proc/self/fd/%d", file);
    const auto length = readlink(link, path, sizeof path - 1);
    if (length < 0) return false;
    path[length] = 0;
    return strncmp(path, under, strlen(under)) == 0;
}

enum class Turn { Pass, Half, Fail };

/// What becomes of this write; errno is set where it fails.
Turn turnOf(int file) {
    if (!meant(file)) return Turn::Pass;
    const char* at = getenv("FAILING_DISK_AT");
    const char* how = getenv("FAILING_DISK_HOW");
    const int number = ++counted;
    if (at == nullptr || how == nullptr || number < atoi(at)) return Turn::Pass;
    const bool now = number == atoi(at);
    if (strcmp(how, "kill") == 0) {
        if (now) kill(getpid(), SIGKILL);
        return Turn::Pass;
    }
    if (strcmp(how, "fault") == 0) {
        if (!now) return Turn::Pass;
        errno = EIO;
        return Turn::Fail;
    }
    if (strcmp(how, "short") == 0 && now) return Turn::Half;
    errno = ENOSPC;
    return Turn::Fail;
}

}  // namespace

extern "C" {

ssize_t write(int file, const void* bytes, size_t size) {
    static const auto next = real<ssize_t (*)(int, const void*, size_t)>("write");
    const auto turn = turnOf(file);
    if (turn == Turn::Fail) return -1;
    return next(file, bytes, turn == Turn::Half ? (size + 1) / 2 : size);
}

ssize_t pwrite64(int file, const void* bytes, size_t size, off64_t at) {
    static const auto next = real<ssize_t (*)(int, const void*, size_t, off64_t)>("pwrite64");
    const auto turn = turnOf(file);
    if (turn == Turn::Fail) return -1;
    return next(file, bytes, turn == Turn::Half ? (size + 1) / 2 : size, at);
}

ssize_t pwrite(int file, const void* bytes, size_t size, off_t at) { return pwrite64(file, bytes, size, at); }

int fsync(int file) {
    static const auto next = real<int (*)(int)>("fsync");
    return turnOf(file) == Turn::Fail ? -1 : next(file);
}

int fdatasync(int file) {
    static const auto next = real<int (*)(int)>("fdatasync");
    return turnOf(file) == Turn::Fail ? -1 : next(file);
}

}  // extern "C"
