package isotherm.core.hydraulics;

import isotherm.core.airflow.Airway;
import isotherm.core.exchanger.Core;

/**
 * A core through which the oil goes before it comes to the design's own, as where one is added behind a factory air cooler.
 * Its air is its own: what it gives to a radiator behind it is part of what the radiator was measured with.
 *
 * @param core the core
 * @param airway how air gets to it
 * @param feed the hose from the takeoff to it
 * @param efficacy share of the correlations' conductance that it reaches, 0.3 to 1.2
 */
public record UpstreamCore(Core core, Airway airway, Hose feed, double efficacy) {}
