package gradino.core.measure.noise;

import gradino.core.body.Side;

/** Readings belong together only within one of these (and one client); they are never pooled across. */
public record SeriesKey(String motion, Side side, Mode mode, String position, Instrument instrument) {}
