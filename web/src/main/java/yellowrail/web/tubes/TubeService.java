package yellowrail.web.tubes;

import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.database.JsonColumn;

/** The catalogue as this builder has it. */
@Service
public class TubeService {

    private final TubeCatalogue published = TubeCatalogue.published();
    private final TubeMapper mapper;
    /** The same catalogue as long as the same types are stored. */
    private volatile Known known = new Known(List.of(), published);

    private record Known(List<String> stored, TubeCatalogue catalogue) {}

    private final JsonColumn json;

    TubeService(TubeMapper mapper, JsonColumn json) {
        this.mapper = mapper;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public TubeCatalogue catalogue() {
        List<String> stored = mapper.own();
        Known last = known;
        if (!last.stored().equals(stored)) {
            last = new Known(
                    stored,
                    published.with(stored.stream()
                            .map(type -> json.read(type, OwnTubeDocument.class).type())
                            .toList()));
            known = last;
        }
        return last.catalogue();
    }

    /** Adds the builder's figures for a type, or replaces those entered before under the same name. */
    @Transactional
    public void save(TubeType own) {
        mapper.save(own.name().toUpperCase(Locale.ROOT), json.write(OwnTubeDocument.of(own)));
    }
}
