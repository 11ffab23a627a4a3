package gradino.core.body;

import gradino.core.because.Source;

/** A thing a client may own, from {@code equipment.csv}. */
public record Equipment(String id, String name, Source source) {}
