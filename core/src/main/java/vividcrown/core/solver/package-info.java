/** The solver that several parts of the job ask. */
package vividcrown.core.solver;
