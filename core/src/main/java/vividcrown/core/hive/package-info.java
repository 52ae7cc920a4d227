/**
 * What stands where, and what is in it? One kind of hive: a mating nuc, a cell builder and a production hive are the same
 * with another {@link vividcrown.core.hive.Purpose}. A hive is a stack of {@link vividcrown.core.hive.Box boxes}; a box has
 * frames in slots; a frame keeps its identity wherever it goes ({@link vividcrown.core.hive.FramePlace}).
 * {@link vividcrown.core.hive.HiveDeed} is what people do to them and see in them; {@link vividcrown.core.hive.HiveFold} and
 * {@link vividcrown.core.hive.FrameFold} make the facts of it. {@link vividcrown.core.hive.Strength} and
 * {@link vividcrown.core.hive.Stores} reckon with what was counted. May depend on {@code reading}, not on queens.
 */
package vividcrown.core.hive;
