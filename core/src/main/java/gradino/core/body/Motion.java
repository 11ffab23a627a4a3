package gradino.core.body;

import gradino.core.because.Source;

/**
 * One movement of one joint, from {@code motions.csv}.
 *
 * @param opposite id of the motion the other way
 * @param zero the anatomical zero in words
 */
public record Motion(
        String id, String joint, String name, String opposite, String zero, String landmarks, Source source) {}
