package gradino.core.perform;

import gradino.core.quantity.PainScore;

/** One pain as reported with one tap. */
public record Pain(PainScore score, PainKind kind, String where) {}
