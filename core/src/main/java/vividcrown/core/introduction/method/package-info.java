/** Ways of giving a queen, a file each: odds, steps with their days, kit. */
package vividcrown.core.introduction.method;
