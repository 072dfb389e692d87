package isotherm.core.sheetmetal;

import java.util.List;

/**
 * What is folded for a design.
 *
 * @param brackets what holds its core
 * @param panels what leads its air
 */
public record SheetWork(List<FoldedBracket> brackets, List<FoldedPanel> panels) {
    /** Nothing is folded. */
    public static final SheetWork NONE = new SheetWork(List.of(), List.of());

    /** Defensive copies. */
    public SheetWork {
        brackets = List.copyOf(brackets);
        panels = List.copyOf(panels);
    }

    /** @return brackets that can be made */
    public List<FoldedBracket> goodBrackets() {
        return brackets.stream().filter(FoldedBracket::good).toList();
    }

    /** @return panels that can be made */
    public List<FoldedPanel> goodPanels() {
        return panels.stream().filter(FoldedPanel::good).toList();
    }
}
