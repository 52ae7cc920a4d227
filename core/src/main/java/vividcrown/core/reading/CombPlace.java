package vividcrown.core.reading;

/** Where on the comb a cell hangs. */
public enum CombPlace {
    BOTTOM_EDGE, SIDE_EDGE,
    /** On the face of the comb, apart from others. */
    FACE,
    /** Scattered among worker brood of one age, drawn from worker cells. */
    AMONG_WORKER_BROOD, NOT_RECORDED
}
