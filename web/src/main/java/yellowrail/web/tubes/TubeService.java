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
    private final JsonColumn json;

    TubeService(TubeMapper mapper, JsonColumn json) {
        this.mapper = mapper;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public TubeCatalogue catalogue() {
        List<TubeType> own = mapper.own().stream()
                .map(type -> json.read(type, OwnTubeDocument.class).type())
                .toList();
        return own.isEmpty() ? published : published.with(own);
    }

    /** Adds the builder's figures for a type, or replaces those entered before under the same name. */
    @Transactional
    public void save(TubeType own) {
        mapper.save(own.name().toUpperCase(Locale.ROOT), json.write(OwnTubeDocument.of(own)));
    }
}
