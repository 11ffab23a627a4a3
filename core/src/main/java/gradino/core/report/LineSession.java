package gradino.core.report;

import gradino.core.body.Sided;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.timeline.EffortClass;

/**
 * One line's part of a session.
 *
 * @param classes of the doses that were asked that day
 */
public record LineSession(String line, String motion, SessionRecord record, Sided<EffortClass> classes) {}
