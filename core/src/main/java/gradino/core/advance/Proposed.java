package gradino.core.advance;

import gradino.core.because.Because;
import gradino.core.because.Verdict;
import gradino.core.prescribe.Dose;
import org.jspecify.annotations.Nullable;

/** What a proposal comes to, without what it rests on. */
public record Proposed(Verdict verdict, @Nullable LeverId lever, Because why, Dose to) {}
