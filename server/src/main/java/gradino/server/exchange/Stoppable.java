package gradino.server.exchange;

import gradino.server.platform.Heavy.Work;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;

/** Ends in the middle of a table, however long that is, when whoever asked for it has ended it. */
final class Stoppable extends FilterOutputStream {
    private final Work work;

    Stoppable(OutputStream out, Work work) {
        super(out);
        this.work = work;
    }

    @Override
    public void write(int b) throws IOException {
        work.goOn();
        out.write(b);
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
        work.goOn();
        out.write(bytes, from, length);
    }
}
