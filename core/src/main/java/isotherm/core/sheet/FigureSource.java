package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** Where a figure of a run sheet comes from. */
enum FigureSource implements MessageTopic {
    /** Usual in practice; the maker's figure comes first. */
    MAKER_FIRST,
    /** Computed from this design. */
    OF_DESIGN,
    /** The car's oil quantity. */
    OIL_QUANTITY,
    /** The placement. */
    PLACEMENT,
    /** The design. */
    DESIGN,
    /** The catalogue's part. */
    CATALOGUE,
    /** Computed from taped positions; try the route with a wire first. */
    TAPED,
    /** A wire along the hose's way. */
    WIRED,
    /** The maker's own. */
    MAKERS,
    /** Usual in practice. */
    PRACTICE,
    /** Usual in practice, unless you set another. */
    PRACTICE_OR_OWN,
    /** Source. */
    PUBLISHED;

    @Override
    public String chapter() {
        return "figureSource";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
