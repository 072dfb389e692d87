/** What is bought for a plumbing, and what that costs. */
package isotherm.core.bill;
