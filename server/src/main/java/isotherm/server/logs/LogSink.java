package isotherm.server.logs;

import isotherm.server.evidence.Channel;
import java.util.List;

/** Receives a log row by row. */
interface LogSink {
    /**
     * @param channels what the rows will hold, in their order; the first is the time
     */
    void begin(List<Channel> channels);

    /**
     * @param values one value for each channel, NaN where there is none; the array is used again for the next row
     */
    void row(double[] values);
}
