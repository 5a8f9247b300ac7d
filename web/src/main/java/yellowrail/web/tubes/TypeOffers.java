package yellowrail.web.tubes;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.form.Choice;
import yellowrail.web.words.Words;

/** What a field offers that a type is typed into. */
public final class TypeOffers {

    private TypeOffers() {}

    /** Every type, found by any part of any of its numbers. */
    public static List<Choice> of(TubeCatalogue catalogue, Words words) {
        return catalogue.choices().stream()
                .map(type -> new Choice(type.name(), told(type, words)))
                .toList();
    }

    /** Those that a model computes. */
    public static List<Choice> modelled(TubeCatalogue catalogue) {
        return TubeModels.published().types(catalogue).stream()
                .map(type -> new Choice(type, type))
                .toList();
    }

    private static String told(TubeType type, Words words) {
        return Stream.concat(
                        type.aka().stream(),
                        Stream.of(words.name(type.kind())
                                + ", "
                                + Figures.plain(type.customaryRating().plateWatts())
                                + " W"))
                .collect(Collectors.joining(" \u00b7 "));
    }
}
