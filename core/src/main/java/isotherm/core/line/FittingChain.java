package isotherm.core.line;

import isotherm.core.parts.Adaptor;
import isotherm.core.parts.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DirectedWeightedMultigraph;

/**
 * The adaptors that lead from one end to another so that every joint is tight.
 *
 * @param steps the adaptors in order, each as it is turned; empty when the two ends mate by themselves
 */
public record FittingChain(List<Step> steps) {
    /** Defensive copy. */
    public FittingChain {
        steps = List.copyOf(steps);
    }

    /**
     * An adaptor as it is turned in a chain.
     *
     * @param adaptor the adaptor
     * @param in its end that meets what comes before
     * @param out its end that meets what comes after
     */
    public record Step(Adaptor adaptor, End in, End out) {}

    /** What makes one chain better than another. */
    public enum Wish {
        /** The fewest joints; the cheapest of those. */
        JOINTS,
        /** The least price. */
        PRICE,
        /** The least pressure loss. */
        LOSS;

        private static final double TIE = 1e-6;

        double weight(Adaptor a, double bore) {
            return switch (this) {
                case JOINTS -> 1 + TIE * a.price();
                case PRICE -> a.price() + TIE;
                case LOSS -> a.heads(bore) + TIE;
            };
        }
    }

    /** An edge of the graph: an adaptor turned one way. */
    private static final class Turned {
        private final Step step;

        Turned(Step step) {
            this.step = step;
        }
    }

    /**
     * Dijkstra (1959) over the graph whose nodes are open ends and whose edges are the adaptors that can be screwed onto them;
     * O(E + V log V) in the adaptors and ends of the catalogue.
     *
     * @param adaptors what can be bought
     * @param from the end that the chain starts at
     * @param to the end that it has to arrive at
     * @param wish what is to be least
     * @param bore bore of the line, m
     * @return the chain; empty when no adaptors lead there
     */
    public static Optional<FittingChain> find(List<Adaptor> adaptors, End from, End to, Wish wish, double bore) {
        var graph = new DirectedWeightedMultigraph<End, Turned>(Turned.class);
        graph.addVertex(from);
        graph.addVertex(to.counterpart());
        for (Adaptor a : adaptors) {
            add(graph, new Step(a, a.first(), a.second()), wish.weight(a, bore));
            add(graph, new Step(a, a.second(), a.first()), wish.weight(a, bore));
        }
        // The open end that mates with the goal is the goal's counterpart.
        GraphPath<End, Turned> path = DijkstraShortestPath.findPathBetween(graph, from, to.counterpart());
        return Optional.ofNullable(path)
                .map(p -> new FittingChain(
                        p.getEdgeList().stream().map(t -> t.step).toList()));
    }

    private static void add(DirectedWeightedMultigraph<End, Turned> graph, Step step, double weight) {
        End open = step.in().counterpart();
        // An adaptor from an end to the same end leads nowhere.
        if (open.equals(step.out())) {
            return;
        }
        graph.addVertex(open);
        graph.addVertex(step.out());
        Turned edge = new Turned(step);
        graph.addEdge(open, step.out(), edge);
        graph.setEdgeWeight(edge, weight);
    }

    /** @return price of its adaptors in the garage's currency */
    public double price() {
        return steps.stream().mapToDouble(s -> s.adaptor().price()).sum();
    }

    /** @return mass of its adaptors, kg */
    public double mass() {
        return steps.stream().mapToDouble(s -> s.adaptor().mass()).sum();
    }

    /** @return what its adaptors add to the stack, m */
    public double length() {
        return steps.stream().mapToDouble(s -> s.adaptor().length()).sum();
    }

    /**
     * @param bore bore of the line, m
     * @return velocity heads lost in it, on the line's bore
     */
    public double heads(double bore) {
        return steps.stream().mapToDouble(s -> s.adaptor().heads(bore)).sum();
    }

    /**
     * @param from the end that the chain starts at
     * @param to the end that it arrives at
     * @return every joint in order: the two ends that meet there
     */
    public List<Pair> joints(End from, End to) {
        List<Pair> joints = new ArrayList<>();
        End open = from;
        for (Step s : steps) {
            joints.add(new Pair(open, s.in()));
            open = s.out();
        }
        joints.add(new Pair(open, to));
        return List.copyOf(joints);
    }

    /**
     * Two ends that meet.
     *
     * @param one the first
     * @param other the second
     */
    public record Pair(End one, End other) {
        /** @return whether the joint is tight */
        public boolean tight() {
            return one.mates(other);
        }
    }
}
