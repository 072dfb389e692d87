package isotherm.core.parts;

import java.util.List;
import java.util.Optional;

/**
 * The parts that a line can be made of.
 *
 * @param takeoffs takeoffs
 * @param adaptors adaptors
 * @param hoses hoses
 * @param ends hose ends
 */
public record Parts(List<Takeoff> takeoffs, List<Adaptor> adaptors, List<HoseType> hoses, List<HoseEnd> ends) {
    /** Defensive copies. */
    public Parts {
        takeoffs = List.copyOf(takeoffs);
        adaptors = List.copyOf(adaptors);
        hoses = List.copyOf(hoses);
        ends = List.copyOf(ends);
    }

    /**
     * @param hose a hose
     * @return the ends that fit it
     */
    public List<HoseEnd> endsFor(HoseType hose) {
        return ends.stream()
                .filter(e -> e.family() == hose.family() && e.dash().equals(hose.dash()))
                .toList();
    }

    /**
     * @param like a hose
     * @param dash a dash size
     * @return the hose of the same maker and family in that size
     */
    public Optional<HoseType> sized(HoseType like, String dash) {
        return hoses.stream()
                .filter(h -> h.family() == like.family()
                        && h.maker().equals(like.maker())
                        && h.dash().equals(dash))
                .findFirst();
    }
}
