package gradino.server.prescribe.library;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.figure.Figure;
import gradino.core.figure.FigureMaker;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.program.LibrarySearch;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.RangeRow;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The positions to choose from, each with its drawing. */
@Service
class LibraryService {

    private final ClientService clients;
    private final MeasureService measures;

    LibraryService(ClientService clients, MeasureService measures) {
        this.clients = clients;
        this.measures = measures;
    }

    /**
     * A position to choose.
     *
     * @param wanted motions of it that are limited in this client; empty where none was named
     * @param own whether the studio added it
     */
    record LibraryEntry(Position position, List<String> wanted, boolean own) {}

    /** By position; asked for once, not with every letter of a search. */
    static Map<String, Figure> figures() {
        var figures = new LinkedHashMap<String, Figure>();
        for (var position : Catalogue.positions()) {
            Asked.of(position, position.motions().get(0))
                    .ifPresent(asked -> figures.put(position.id(), FigureMaker.draw(asked)));
        }
        return figures;
    }

    /**
     * @param clientId whose limited motions come first; null for nobody's
     * @param owned only what the client has the equipment for
     */
    @Transactional(readOnly = true)
    List<LibraryEntry> find(String words, String motion, String method, @Nullable String clientId, boolean owned) {
        var wanted = clientId == null ? List.<String>of() : wanted(clientId);
        var equipment = clientId != null && owned
                ? Set.copyOf(clients.get(clientId).details().equipment())
                : Set.<String>of();
        var query = new LibrarySearch.Query(words, motion, equipment, method, wanted);
        return LibrarySearch.find(Catalogue.positions(), query).stream()
                .map(p -> new LibraryEntry(
                        p, p.motions().stream().filter(wanted::contains).toList(), !Catalogue.isShipped(p.id())))
                .toList();
    }

    private List<String> wanted(String clientId) {
        return measures.ranges(clientId).stream()
                .filter(LibraryService::isLimited)
                .map(RangeRow::motion)
                .distinct()
                .toList();
    }

    private static boolean isLimited(RangeRow row) {
        return row.sides().stream()
                .anyMatch(s ->
                        s.limiter() == Limiter.RANGE || s.limiter() == Limiter.CONTROL || s.limiter() == Limiter.BOTH);
    }
}
