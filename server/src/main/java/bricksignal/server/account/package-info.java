/**
 * People, their roles, logging in.
 */
@NullMarked
package bricksignal.server.account;

import org.jspecify.annotations.NullMarked;
