package isotherm.core.whatif;

import isotherm.core.car.Design;
import isotherm.core.message.Message;

/**
 * A design with one choice moved by one step.
 *
 * @param lever which choice
 * @param label what it becomes
 * @param design the design after it
 */
public record LeverStep(Lever lever, Message label, Design design) {}
