package isotherm.server;

import java.sql.SQLException;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.diagnostics.FailureAnalyzer;

/** Says in plain words why the program does not start, where it is not a mistake of the program's. */
public class RefusedStarts implements FailureAnalyzer {
    @Override
    public FailureAnalysis analyze(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof FlywayValidateException) {
                return new FailureAnalysis(
                        "This garage was kept by a newer Isotherm, or its tables were changed by hand.",
                        "Nothing was changed. Start the newer Isotherm again, or choose another garage with ISOTHERM_HOME.",
                        failure);
            }
            if (cause instanceof SQLException sql && sql.getMessage() != null && isConnection(sql)) {
                return new FailureAnalysis(
                        "The database does not let this program in: " + sql.getMessage(),
                        "See that PostgreSQL runs and that SPRING_DATASOURCE_URL, _USERNAME and _PASSWORD are right.",
                        failure);
            }
            if (cause instanceof IllegalStateException
                    && cause.getMessage() != null
                    && cause.getMessage().contains("server.address=")) {
                return new FailureAnalysis(
                        cause.getMessage(), "Leave server.address out, or set it to 127.0.0.1.", failure);
            }
        }
        return null;
    }

    /** Classes of states of SQL (PostgreSQL, appendix A): connection exceptions, refused authorisation. */
    private static boolean isConnection(SQLException e) {
        return e.getSQLState() != null
                && (e.getSQLState().startsWith("08") || e.getSQLState().startsWith("28"));
    }
}
