package isotherm.core.route;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A way for a hose to leave its end.
 *
 * @param at where the hose begins, m
 * @param direction unit vector in which it leaves
 * @param cost what this way costs, in m of hose
 */
public record Exit(Vector3D at, Vector3D direction, double cost) {}
