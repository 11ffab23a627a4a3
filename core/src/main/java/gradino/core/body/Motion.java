package gradino.core.body;

import gradino.core.because.Source;

/**
 * One movement of one joint, from {@code motions.csv}.
 *
 * @param midline has no left and right
 * @param opposite id of the motion the other way; its own where left and right undo each other
 * @param zero the anatomical zero in words
 */
public record Motion(
        String id,
        String joint,
        String name,
        boolean midline,
        String opposite,
        String zero,
        String landmarks,
        Source source) {}
