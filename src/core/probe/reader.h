// Lines of a thermometer or scale: read byte by byte, whatever arrives. docs/format.md, "Probe lines".
#pragma once
#include <string>
#include <string_view>
#include <vector>

namespace uovo::probe {

/// One line that was understood.
struct Reading {
    enum class Kind { Hello, Temperature, Mass, Remark } kind = Kind::Remark;
    double value = 0;        ///< °C or kg
    std::string words = {};  ///< of a hello its name, of a remark its text
    double seconds = -1;     ///< the device's own clock, where the line has one; else below 0
};

/// Keeps at most one unfinished line; garbage is counted and dropped.
class Reader {
public:
    /// @returns what the new bytes complete, oldest first
    std::vector<Reading> feed(std::string_view bytes);
    size_t garbage() const { return garbage_; }
    size_t kept() const { return line_.size(); }  ///< bytes of the unfinished line

private:
    std::string line_;
    bool skipping_ = false;  ///< the line was too long: until its end
    size_t garbage_ = 0;
};

/// One line without its end. @returns false for garbage: unknown words, figures no kitchen has
bool readLine(std::string_view line, Reading& out);

}  // namespace uovo::probe
