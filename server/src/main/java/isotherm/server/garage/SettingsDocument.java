package isotherm.server.garage;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import java.util.Currency;
import java.util.List;

/**
 * What holds for the garage as a whole.
 *
 * @param currency currency of its prices, by ISO 4217
 */
public record SettingsDocument(
        @Missing("prices are shown without one") @Text(value = "currency of its prices, ISO 4217", min = 3, max = 3)
                String currency)
        implements Checked {
    @Override
    public void check(String path, List<Problem> problems) {
        if (currency != null
                && Currency.getAvailableCurrencies().stream()
                        .noneMatch(c -> c.getCurrencyCode().equals(currency))) {
            problems.add(Problem.of(
                    path + "/currency",
                    currency,
                    "A currency by its three letters is expected here, such as EUR or USD"));
        }
    }
}
