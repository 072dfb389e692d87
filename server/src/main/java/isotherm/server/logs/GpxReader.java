package isotherm.server.logs;

import isotherm.core.duty.LogClock;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogReport;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads the track points of a GPX file; the speed is the way from point to point over its time. */
final class GpxReader {
    private static final double EARTH_RADIUS = 6_371_008.8;
    /** Faster than any car: the receiver jumped. */
    private static final double FASTEST = 140;

    private record Point(double seconds, double latitude, double longitude, double elevation) {}

    private static final List<Channel> CHANNELS =
            List.of(Channel.TIME, Channel.SPEED, Channel.LATITUDE, Channel.LONGITUDE, Channel.ELEVATION);

    private final RowCleaner cleaner;
    private Point before;

    private GpxReader(LogSink sink) {
        this.cleaner = new RowCleaner(sink, CHANNELS);
    }

    /** Whether a file begins as a GPX file does. */
    static boolean looksLike(List<String> lines) {
        return lines.stream().limit(20).anyMatch(l -> l.contains("<gpx"));
    }

    static LogReport read(InputStream in, LogReader.Limit limit, LogSink sink) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return new GpxReader(sink).run(factory.createXMLStreamReader(in), limit);
    }

    private LogReport run(XMLStreamReader xml, LogReader.Limit limit) throws XMLStreamException {
        double latitude = Double.NaN;
        double longitude = Double.NaN;
        double elevation = Double.NaN;
        String time = null;
        boolean inside = false;
        while (xml.hasNext()
                && cleaner.rows() < limit.rows()
                && xml.getLocation().getLineNumber() <= limit.lines()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                String name = xml.getLocalName();
                if (name.equals("trkpt")) {
                    inside = true;
                    latitude = number(xml.getAttributeValue(null, "lat"));
                    longitude = number(xml.getAttributeValue(null, "lon"));
                    elevation = Double.NaN;
                    time = null;
                } else if (inside && name.equals("ele")) {
                    elevation = number(xml.getElementText());
                } else if (inside && name.equals("time")) {
                    time = xml.getElementText();
                }
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && xml.getLocalName().equals("trkpt")) {
                inside = false;
                point(xml.getLocation().getLineNumber(), latitude, longitude, elevation, time);
            }
        }
        return cleaner.report();
    }

    private void point(int line, double latitude, double longitude, double elevation, String time) {
        if (!Double.isFinite(latitude) || !Double.isFinite(longitude)) {
            cleaner.spoil(line, "it has no position");
            return;
        }
        double seconds = seconds(time);
        if (!Double.isFinite(seconds)) {
            cleaner.spoil(line, "it has no time that can be read");
            return;
        }
        Point p = new Point(seconds, latitude, longitude, elevation);
        double speed = 0;
        if (before != null) {
            double step = p.seconds() - before.seconds();
            if (step <= 0) {
                cleaner.spoil(line, "its time is not after that of the point before");
                // A clock that was set back goes on from here; a single point that is out of order does not count.
                before = step < -LogClock.LONGEST_PAUSE ? p : before;
                return;
            }
            speed = metres(before, p) / step;
            if (speed > FASTEST) {
                cleaner.spoil(line, "it lies further from the point before than a car can go");
                return;
            }
        }
        before = p;
        cleaner.row(line, seconds, new double[] {0, speed * 3.6, latitude, longitude, elevation});
    }

    /** Great-circle distance by the haversine formula, m. */
    private static double metres(Point a, Point b) {
        double la = Math.toRadians(a.latitude());
        double lb = Math.toRadians(b.latitude());
        double dLat = (lb - la) / 2;
        double dLon = Math.toRadians(b.longitude() - a.longitude()) / 2;
        double h = Math.sin(dLat) * Math.sin(dLat) + Math.cos(la) * Math.cos(lb) * Math.sin(dLon) * Math.sin(dLon);
        return 2 * EARTH_RADIUS * Math.asin(Math.min(1, Math.sqrt(h)));
    }

    private static double number(String text) {
        return text == null ? Double.NaN : LogReader.number(text.strip(), false);
    }

    private static double seconds(String time) {
        if (time == null) {
            return Double.NaN;
        }
        try {
            Instant at = OffsetDateTime.parse(time.strip()).toInstant();
            return at.getEpochSecond() + at.getNano() * 1e-9;
        } catch (DateTimeException e) {
            return Double.NaN;
        }
    }
}
