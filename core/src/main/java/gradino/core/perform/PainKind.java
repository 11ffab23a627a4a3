package gradino.core.perform;

/** When and where a pain was felt; decides how far a step goes down. */
public enum PainKind {
    WHILE_CONTRACTING,
    AT_REST_IN_RANGE,
    PINCH_THAT_EASED,
    WRONG_JOINT
}
