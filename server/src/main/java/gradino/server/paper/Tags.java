package gradino.server.paper;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.PDLayoutAttributeObject;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.PDTableAttributeObject;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.jspecify.annotations.Nullable;

/** The tree that says what each mark on the pages is (ISO 14289-1, PDF/UA-1), and the document's own data. */
final class Tags {
    private static final String LANGUAGE = "en";
    private static final String XMP = """
            <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>
            <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
            <rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/"
              xmlns:pdfuaid="http://www.aiim.org/pdfua/ns/id/">
            <dc:title><rdf:Alt><rdf:li xml:lang="x-default">%s</rdf:li></rdf:Alt></dc:title>
            <pdfuaid:part>1</pdfuaid:part></rdf:Description></rdf:RDF></x:xmpmeta>
            <?xpacket end="w"?>""";

    private final PDDocument document;
    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final PDStructureElement whole;
    private final Map<Integer, PDParentTreeValue> parents = new HashMap<>();
    private List<PDStructureElement> onPage = new ArrayList<>();
    private @Nullable PDPage page;

    /** What is drawn within a mark. */
    interface Content {
        void draw() throws IOException;
    }

    Tags(PDDocument document, String title) throws IOException {
        this.document = document;
        whole = new PDStructureElement(StandardStructureTypes.DOCUMENT, root);
        root.appendKid(whole);
        var catalog = document.getDocumentCatalog();
        catalog.setStructureTreeRoot(root);
        var marked = new PDMarkInfo();
        marked.setMarked(true);
        catalog.setMarkInfo(marked);
        catalog.setLanguage(LANGUAGE);
        var shown = new PDViewerPreferences(new COSDictionary());
        shown.setDisplayDocTitle(true);
        catalog.setViewerPreferences(shown);
        document.getDocumentInformation().setTitle(title);
        document.setVersion(1.7f);
        var xmp = XMP.formatted(escaped(title)).getBytes(StandardCharsets.UTF_8);
        catalog.setMetadata(new PDMetadata(document, new ByteArrayInputStream(xmp)));
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    void begin(PDPage next) {
        finish();
        page = next;
        next.setStructParents(document.getNumberOfPages() - 1);
        next.getCOSObject().setName(COSName.getPDFName("Tabs"), "S");
    }

    private void finish() {
        if (page != null) {
            var array = new COSArray();
            onPage.forEach(array::add);
            parents.put(page.getStructParents(), new PDParentTreeValue(array));
            onPage = new ArrayList<>();
        }
    }

    PDStructureElement element(String type) {
        return element(whole, type);
    }

    PDStructureElement element(PDStructureElement parent, String type) {
        var element = new PDStructureElement(type, parent);
        parent.appendKid(element);
        return element;
    }

    PDStructureElement cell(PDStructureElement row, boolean head, boolean first) {
        var cell = element(row, head || first ? StandardStructureTypes.TH : StandardStructureTypes.TD);
        if (head || first) {
            var scope = new PDTableAttributeObject();
            scope.setScope(head ? PDTableAttributeObject.SCOPE_COLUMN : PDTableAttributeObject.SCOPE_ROW);
            cell.addAttribute(scope);
        }
        return cell;
    }

    PDStructureElement figure(String alt, PDRectangle box) {
        var figure = element(StandardStructureTypes.Figure);
        figure.setAlternateDescription(alt);
        var layout = new PDLayoutAttributeObject();
        layout.setBBox(box);
        figure.addAttribute(layout);
        return figure;
    }

    void mark(PDPageContentStream stream, PDStructureElement as, Content content) throws IOException {
        int id = onPage.size();
        onPage.add(as);
        as.setPage(page);
        as.appendKid(id);
        var properties = new COSDictionary();
        properties.setItem(COSName.MCID, COSInteger.get(id));
        stream.beginMarkedContent(COSName.getPDFName(as.getStructureType()), PDPropertyList.create(properties));
        content.draw();
        stream.endMarkedContent();
    }

    /** What is there for the eye only. */
    void artifact(PDPageContentStream stream, Content content) throws IOException {
        stream.beginMarkedContent(COSName.ARTIFACT);
        content.draw();
        stream.endMarkedContent();
    }

    void close() {
        finish();
        var tree = new PDNumberTreeNode(PDParentTreeValue.class);
        tree.setNumbers(parents);
        root.setParentTree(tree);
        root.setParentTreeNextKey(parents.size());
    }
}
