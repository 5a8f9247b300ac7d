package yellowrail.web.swap;

import java.util.stream.Stream;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.rectifier.Exchange;
import yellowrail.core.swap.RectifierSwap;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.SmallTube;
import yellowrail.web.words.Words;

/**
 * What is asked about the other tubes of an amp; blank where nothing is.
 *
 * @param rectifier that wants in
 * @param small the driver or splitter tube that goes out
 * @param smallWants the one that wants in its place
 */
record OtherAsked(String rectifier, String small, String smallWants) {

    /** Whether one of them is none that there is. */
    boolean isUnknown() {
        return !rectifier.isBlank() && RectifierType.find(rectifier).isEmpty()
                || Stream.of(small, smallWants)
                        .anyMatch(
                                type -> !type.isBlank() && SmallTube.find(type).isEmpty());
    }

    /** All of it, to be quoted. */
    String typed() {
        return (rectifier + " " + small + " " + smallWants).strip();
    }

    /** What there is to choose from, and what was found. */
    void on(ModelAndView page, OtherSources sources, Words words) {
        var changed = sources.rectifier(rectifier);
        page.addObject(
                        "rectifiers",
                        RectifierType.published().stream()
                                .map(RectifierType::name)
                                .filter(each -> !each.equals(sources.rectifier()))
                                .toList())
                .addObject("rectifier", rectifier)
                .addObject("presentRectifier", sources.rectifier())
                .addObject(
                        "rectifierReport",
                        changed.map(found -> SwapView.of(found.report(), words)).orElse(null))
                .addObject(
                        "drops",
                        changed.flatMap(RectifierSwap::exchange)
                                .map(found -> drawn(found, words))
                                .orElse(null))
                .addObject("smallOnes", sources.smallOnes())
                .addObject("allSmallOnes", sources.allSmallOnes())
                .addObject("small", small)
                .addObject("smallWants", smallWants)
                .addObject(
                        "smallReport",
                        sources.small(small, smallWants)
                                .map(found -> SwapView.of(found, words))
                                .orElse(null));
    }

    private static DropView drawn(Exchange exchange, Words words) {
        return DropView.of(
                exchange,
                exchange.before().type().name(),
                exchange.after().type().name(),
                words);
    }
}
