// peak_memory.h: the most memory this process has held so far, in kB, as the kernel tells it.
#pragma once
#include <fstream>
#include <string>

inline long peak_memory_kb()
{
    std::ifstream status{"/proc/self/status"};
    std::string word;
    while (status >> word) {
        long kb = 0;
        if (word == "VmHWM:" && status >> kb) return kb;
    }
    return 0;
}
