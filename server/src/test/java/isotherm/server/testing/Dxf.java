package isotherm.server.testing;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Reads drawings in DXF as the format is described: pairs of group code and value. */
public final class Dxf {
    private Dxf() {}

    /**
     * @param dxf a drawing
     * @return its circles: x, y and diameter of each, mm
     */
    public static List<double[]> circles(byte[] dxf) {
        List<double[]> circles = new ArrayList<>();
        String[] lines = new String(dxf, StandardCharsets.US_ASCII).split("\r?\n");
        double[] now = null;
        for (int i = 0; i + 1 < lines.length; i += 2) {
            int code = Integer.parseInt(lines[i].strip());
            if (code == 0) {
                now = lines[i + 1].equals("CIRCLE") ? new double[3] : null;
                if (now != null) {
                    circles.add(now);
                }
            } else if (now != null && (code == 10 || code == 20 || code == 40)) {
                now[code == 10 ? 0 : code == 20 ? 1 : 2] = Double.parseDouble(lines[i + 1]) * (code == 40 ? 2 : 1);
            }
        }
        return circles;
    }
}
