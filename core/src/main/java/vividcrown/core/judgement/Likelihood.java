package vividcrown.core.judgement;

/** How likely each phase makes something. */
@FunctionalInterface
interface Likelihood {

    /**
     * @param place of the phase in {@link Phase#all()}, for what was worked out for all of them
     * @return 0–1
     */
    double in(int place, Phase phase);
}
