package gradino.server.device;

/** What simulated devices have in common: a cable, and whether all there is to say has been said. */
abstract class Cabled implements Device {
    private final String id;
    private boolean plugged = true;
    private boolean told;

    Cabled(String id) {
        this.id = id;
    }

    @Override
    public final String id() {
        return id;
    }

    @Override
    public final boolean plugged() {
        return plugged;
    }

    @Override
    public final Device plug(boolean in) {
        plugged = in;
        told = false;
        cableMoved();
        return this;
    }

    /** What was measured and not told yet goes with the cable. */
    void cableMoved() {}

    final void somethingNew() {
        told = false;
    }

    /** @return whether all was told before */
    final boolean tellAll() {
        boolean before = told;
        told = true;
        return before;
    }
}
