package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * Body segments as shares of stature ({@code stature-shares.csv}) and of body mass ({@code segments.csv}).
 *
 * <p>Sources: Drillis &amp; Contini 1966; Winter, table 4.1. All shares are without unit.
 */
public final class Anthropometry {
    /** Of nobody in particular, cm (house rule). */
    public static final double TYPICAL_STATURE_CM = 170;

    private static final Map<String, Double> SHARES = DataFile.rows(
                    "stature-shares.csv",
                    row -> Map.entry(row.get("id"), Double.parseDouble(row.get("shareOfStature"))))
            .stream()
            .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
    private static final List<Mass> MASSES = DataFile.rows("segments.csv", Anthropometry::mass);

    private Anthropometry() {}

    /**
     * A segment's mass, centre of mass and radii of gyration, each as a share of body mass or of the segment's length.
     *
     * @param centreFromProximal distance of the centre of mass from the proximal end
     */
    public record Mass(
            String id,
            String ends,
            double massShare,
            double centreFromProximal,
            double centreFromDistal,
            double gyrationCentre,
            double gyrationProximal,
            double gyrationDistal,
            Source source) {}

    /** Length or height as a share of stature. */
    public static double share(String id) {
        var share = SHARES.get(id);
        if (share == null) {
            throw new IllegalArgumentException("no share of stature called " + id);
        }
        return share;
    }

    public static List<Mass> masses() {
        return MASSES;
    }

    private static Mass mass(CSVRecord row) {
        return new Mass(
                row.get("id"),
                row.get("ends"),
                Double.parseDouble(row.get("massShare")),
                Double.parseDouble(row.get("centreFromProximal")),
                Double.parseDouble(row.get("centreFromDistal")),
                Double.parseDouble(row.get("gyrationCentre")),
                Double.parseDouble(row.get("gyrationProximal")),
                Double.parseDouble(row.get("gyrationDistal")),
                Source.parse(row.get("source")));
    }
}
