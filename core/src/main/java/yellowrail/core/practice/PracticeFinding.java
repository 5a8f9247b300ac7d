package yellowrail.core.practice;

import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What happens on the practice bench, and how an exercise went. */
public sealed interface PracticeFinding extends Finding {

    // On the bench

    record RedPlates(
            String socket,
            @In(value = Unit.WATT, decimals = 0) double watts,
            @In(value = Unit.WATT, decimals = 0) double rating)
            implements PracticeFinding {}

    record TubeLost(
            String socket,
            @In(value = Unit.SECOND, decimals = 0) double after) implements PracticeFinding {}

    // What was looked at, and with what result

    record Diagnosis() implements PracticeFinding {}

    record Right(Exercise fault) implements PracticeFinding {}

    record SaidAndTruth(Exercise said, Exercise truth) implements PracticeFinding {}

    record WhatItRestsOn() implements PracticeFinding {}

    record OnReadings() implements PracticeFinding {}

    record OnAGuessUnread(List<String> points) implements PracticeFinding {}

    record OnAGuessNothingTurned() implements PracticeFinding {}

    record OnAGuessNothingExchanged() implements PracticeFinding {}

    record OnAGuessTooShort(@In(decimals = 0) double minutes) implements PracticeFinding {}

    record SettingInTruth(@In(Unit.VOLT) double mains) implements PracticeFinding {}

    record HottestAndMean(
            @In(Unit.PERCENT) double hottest,
            @In(Unit.PERCENT) double mean,
            @In(value = Unit.PERCENT, given = true) double low,
            @In(value = Unit.PERCENT, given = true) double high)
            implements PracticeFinding {}

    record LeftSafe() implements PracticeFinding {}

    record LeftOn(@In(Unit.PERCENT) double hottest) implements PracticeFinding {}

    record LeftOff() implements PracticeFinding {}

    record FigureAgainstTruth() implements PracticeFinding {}

    record ReadAndTrue(
            @In(Unit.PERCENT) double read, @In(Unit.PERCENT) double truth) implements PracticeFinding {}

    record LimitsPassed() implements PracticeFinding {}

    record None() implements PracticeFinding {}

    record AboveTheRating(
            @In(value = Unit.SECOND, decimals = 0) double above,
            @In(Unit.PERCENT) double worst,
            Optional<PracticeFinding> lost)
            implements PracticeFinding {}

    record AndATubeLost() implements PracticeFinding {}

    record Tries() implements PracticeFinding {}

    record OneTurn() implements PracticeFinding {}

    record Turns(int turns) implements PracticeFinding {}

    record BenchTime() implements PracticeFinding {}

    record MinutesAndSeconds(long minutes, long seconds) implements PracticeFinding {}
}
