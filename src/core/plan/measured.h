// measured.h: the measures of a list of pieces, each piece measured again only where its paper changed.
#pragma once
#include "core/pattern/garment_measure.h"

namespace sartorum {

class Measured {
public:
    explicit Measured(const std::vector<Piece>& pieces)
    {
        for (const auto& p : pieces) of_.push_back(measure_piece(p));
        sum_up();
    }
    // The same pieces, as they were and as they are.
    void take_again(const std::vector<Piece>& was, const std::vector<Piece>& is)
    {
        for (std::size_t i = 0; i < is.size(); ++i) {
            if (!same_paper(was[i], is[i])) of_[i] = measure_piece(is[i]);
        }
        sum_up();
    }
    [[nodiscard]] const FlatMeasures& flat() const { return sum_; }

private:
    void sum_up()
    {
        sum_ = {};
        for (const auto& m : of_) sum_.add(m);
    }
    std::vector<FlatMeasures> of_;
    FlatMeasures sum_;
};

}  // namespace sartorum
