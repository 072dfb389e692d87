package isotherm.server.catalogue;

import isotherm.core.whatif.Prices;
import org.springframework.stereotype.Component;

/** What cores and hoses cost in this garage, its own parts and lists among them. */
@Component
public class PriceList {
    private final CoreCatalogue cores;
    private final PlumbingCatalogue plumbing;

    PriceList(CoreCatalogue cores, PlumbingCatalogue plumbing) {
        this.cores = cores;
        this.plumbing = plumbing;
    }

    /** @return the prices as they are now */
    public Prices prices() {
        return new Prices(cores.parts(), plumbing.parts().hoses());
    }
}
