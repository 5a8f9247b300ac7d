package yellowrail.web.chart;

import static yellowrail.web.chart.Plot.px;

import yellowrail.core.amp.Side;

/**
 * The sign of a side: push points up, pull points down, single is a diamond; so they differ by shape before they do by
 * shade.
 */
public final class SideSign {

    private SideSign() {}

    /** The path of the sign about a place, {@code half} as wide to each side, px. */
    public static String path(Side side, double x, double y, double half) {
        double high = 1.75 * half;
        return switch (side) {
            case PUSH -> "M%s %sl%s %sh-%sz".formatted(px(x), px(y - half), px(half), px(high), px(2 * half));
            case PULL -> "M%s %sl%s -%sh-%sz".formatted(px(x), px(y + half), px(half), px(high), px(2 * half));
            case SINGLE -> "M%1$s %2$sl%3$s %3$sl-%3$s %3$sl-%3$s -%3$sz".formatted(px(x), px(y - half), px(half));
        };
    }
}
