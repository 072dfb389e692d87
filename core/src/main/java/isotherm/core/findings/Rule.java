package isotherm.core.findings;

import java.util.List;

/** One rule of the job. */
interface Rule {
    /** What it has to say about a design; mostly nothing. */
    List<Finding> judge(Context context);
}
