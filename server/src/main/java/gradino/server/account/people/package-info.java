/**
 * Accounts, signing in and whose clients are whose. Read {@link gradino.server.account.people.SignInService} first. Uses no other room of accounts.
 */
@NullMarked
package gradino.server.account.people;

import org.jspecify.annotations.NullMarked;
