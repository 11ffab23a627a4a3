/**
 * Lantern Quay Studio, invented. Read {@link gradino.server.demo.DemoStudio} first. May use every other package.
 */
@NullMarked
package gradino.server.demo;

import org.jspecify.annotations.NullMarked;
