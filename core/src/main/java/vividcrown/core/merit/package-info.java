/**
 * What a queen is worth as a mother: scores of her colony and of her daughters', with yard and year taken out, and how sure that
 * is ({@link vividcrown.core.merit.Merit}); who is grafted from next ({@link vividcrown.core.merit.Breeders}); which daughters
 * stand where, so that lines can be compared ({@link vividcrown.core.merit.TestGroups}).
 */
package vividcrown.core.merit;
