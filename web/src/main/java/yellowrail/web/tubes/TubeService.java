package yellowrail.web.tubes;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.layout.NotFoundException;

/** The catalogue as this builder has it. */
@Service
public class TubeService {

    private final TubeCatalogue published = TubeCatalogue.published();
    private final TubeMapper mapper;
    /** The same catalogue as long as the same types are stored. */
    private volatile Known known = new Known(List.of(), published);

    private record Known(List<String> stored, TubeCatalogue catalogue) {}

    private final DocumentKind<OwnTubeDocument> documents;
    private final Clock clock;

    TubeService(TubeMapper mapper, JsonColumn json, Clock clock) {
        this.mapper = mapper;
        this.documents = json.kind(OwnTubeDocument.class);
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public TubeCatalogue catalogue() {
        List<String> stored = mapper.own();
        Known last = known;
        if (!last.stored().equals(stored)) {
            last = new Known(
                    stored,
                    published.with(stored.stream()
                            .map(type -> documents.read(type).type())
                            .toList()));
            known = last;
        }
        return last.catalogue();
    }

    /** The version of the builder's figures for a type; 0 where there are none. */
    @Transactional(readOnly = true)
    int version(String name) {
        return mapper.version(key(name)).orElse(0);
    }

    /**
     * Adds the builder's figures for a type, or replaces those entered before under the same name.
     *
     * @param editedFrom the version they were edited from; 0 to add some
     * @return false if somebody else has saved others in the meantime; then nothing is changed
     */
    @Transactional
    public boolean save(int editedFrom, TubeType own) {
        String document = documents.write(OwnTubeDocument.of(own));
        OffsetDateTime now = OffsetDateTime.now(clock);
        return (editedFrom == 0
                        ? mapper.add(key(own.name()), document, now)
                        : mapper.change(key(own.name()), editedFrom, document, now))
                == 1;
    }

    /**
     * Deletes the builder's figures for a type, or brings them back.
     *
     * @return false if something names a type that would then be unknown: nothing is deleted
     * @throws NotFoundException if there are no such figures
     */
    @Transactional
    boolean remove(String name, boolean removed) {
        if (removed && published.find(name).isEmpty() && mapper.isNamed(key(name))) {
            return false;
        }
        if (mapper.remove(key(name), removed ? OffsetDateTime.now(clock) : null) == 0) {
            throw new NotFoundException("There are no figures of your own for " + name + ".");
        }
        return true;
    }

    /** The types whose figures were deleted. */
    @Transactional(readOnly = true)
    List<String> removed() {
        return mapper.removed();
    }

    private static String key(String name) {
        return name.toUpperCase(Locale.ROOT);
    }
}
