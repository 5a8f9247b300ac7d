package yellowrail.web.schematic;

import yellowrail.core.amp.Side;
import yellowrail.core.schematic.Sign;
import yellowrail.web.chart.SideSign;

/** What a symbol looks like, about its middle. */
final class SignPath {

    private static final String RESISTOR = "M-5 -12h10v24h-10ZM0 -16v4M0 12v4";
    private static final int SIDE = 8;

    private SignPath() {}

    static String of(Sign sign) {
        return switch (sign) {
            case WINDING -> "M0 -30" + "a6 6 0 0 1 0 12".repeat(5);
            case CORE -> "M-1.5 -22V22M1.5 -22V22";
            case HALF_WINDING -> "M0 -11" + "a5.5 5.5 0 0 1 0 11".repeat(2);
            case DIODE -> "M-7 7L0 -7L7 7ZM-7 -7H7M0 -10V-7M0 7V10";
            case RECTIFIER_TUBE -> circle(22) + "M-12 -14V-4M-16 -4H-8M-12 4V14M-16 4H-8M6 -11V11M6 0H22";
            case CAPACITOR -> "M-11 -4H11M-11 6q11 -5 22 0M0 -10V-4M0 4V10";
            case RESISTOR -> RESISTOR;
            case CHOKE -> "M0 -24" + "a6 6 0 0 1 0 12".repeat(4) + "M10 -22V22";
            case POWER_TUBE ->
                circle(24) + "M-11 -12H11M0 -24V-12M-11 -3h6m3 0h6m3 0h4V0H24M11 6h-6m-3 0h-6m-3 0h-9V0H-24"
                        + "M-11 14H11M0 14V24";
            case POWER_TRIODE -> circle(24) + "M-11 -12H11M0 -24V-12M-24 0h10m3 0h6m3 0h6m3 0h4M-11 14H11M0 14V24";
            case TRIODE -> circle(20) + "M-9 -9H9M0 -20V-9M-20 0h8m3 0h6m3 0h6M-9 10H9M0 10V20";
            case PUSH -> SideSign.path(Side.PUSH, 0, 0, SIDE);
            case PULL -> SideSign.path(Side.PULL, 0, 0, SIDE);
            case SINGLE -> SideSign.path(Side.SINGLE, 0, 0, SIDE);
            case POT -> RESISTOR + "M14 0H6M11 -4L6 0L11 4";
            case TRACK -> "M-6 -28h12v56h-12ZM0 -32v4M0 28v4";
            case WIPER -> "M24 0H0M7 -5L0 0L7 5";
            case BRIDGE -> "M0 -26L26 0L0 26L-26 0ZM9 -7L-5 0L9 7ZM-5 -7V7M13 0H9M-5 0H-13";
            case GAP -> "M-11 -5h22v10h-22Z";
            case SWITCH -> "M0 12V8M0 8L9 -7M0 -12V-8";
            case METER -> circle(10) + "M-4 5L4 -5M0 -5H4V-1";
            case SPEAKER -> "M-7 -8H1V8H-7ZM1 -8L11 -16V16L1 8M0 -14V-8M0 8V14";
            case FILAMENT -> "M0 -12L10 0L0 12";
            case GROUND -> "M-9 0H9M-6 4H6M-2 8H2";
            case JOINT, LOOSE_END -> circle(3);
            case TEST_POINT -> circle(5);
        };
    }

    /** How it is filled. */
    static String look(Sign sign) {
        return switch (sign) {
            case POWER_TUBE, POWER_TRIODE, RECTIFIER_TUBE, TRIODE, RESISTOR, TRACK, BRIDGE, POT, METER, TEST_POINT ->
                "covers";
            case JOINT, PUSH -> "solid";
            case PULL, SINGLE, GAP, LOOSE_END -> "hollow";
            default -> "open";
        };
    }

    private static String circle(int radius) {
        return "M-%1$d 0a%1$d %1$d 0 1 1 %2$d 0a%1$d %1$d 0 1 1 -%2$d 0".formatted(radius, 2 * radius);
    }
}
