package yellowrail.core.blind;

/**
 * Whether the third of three was told apart: so many right of so many, where each is right by chance half of the time.
 *
 * @param right of them
 * @param trials one or more
 */
public record Guesses(int right, int trials) {

    public Guesses {
        if (!(trials >= 1 && right >= 0 && right <= trials)) {
            throw new IllegalArgumentException("%d right of %d".formatted(right, trials));
        }
    }

    /** How often chance alone guesses at least so many. */
    public double byChance() {
        double sum = 0;
        for (int i = right; i <= trials; i++) {
            sum += likely(i);
        }
        return sum;
    }

    /** Of exactly so many right. */
    private double likely(int right) {
        double probability = Math.pow(0.5, trials);
        for (int i = 1; i <= right; i++) {
            probability *= (double) (trials - right + i) / i;
        }
        return probability;
    }

    /** What it says. */
    public BlindFinding finding() {
        double best = new Guesses(trials, trials).byChance();
        return best > BlindFinding.RARE
                ? new BlindFinding.TooFewRounds(trials, best)
                : byChance() > BlindFinding.RARE
                        ? new BlindFinding.GuessedByChance(right, trials, byChance())
                        : new BlindFinding.ToldApart(right, trials, byChance());
    }
}
