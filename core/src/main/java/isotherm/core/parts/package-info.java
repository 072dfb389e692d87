/** Parts as they are bought: takeoffs, adaptors, hoses, hose ends, accessories, and how their joints are tightened. */
package isotherm.core.parts;
