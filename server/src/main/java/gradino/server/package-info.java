/** The application. Packages follow the order of the work; see the package-info of each. */
@NullMarked
package gradino.server;

import org.jspecify.annotations.NullMarked;
