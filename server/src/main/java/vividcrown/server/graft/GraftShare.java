package vividcrown.server.graft;

import java.time.LocalDate;

/**
 * For whom some of a graft's cups are.
 *
 * @param demand code of the order
 * @param delivery when its queens are to be handed over
 */
public record GraftShare(String demand, int cups, LocalDate delivery) {
}
