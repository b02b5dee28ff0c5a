package farglass.desk.shell;

import javafx.scene.Parent;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Shows what it holds larger. That is laid out in as much less room, and scrolls itself where there is too little. */
final class Zoomed extends Region {
    private final Parent content;
    private final double factor;

    /** @param factor times the usual size, at least 1 */
    Zoomed(Parent content, double factor) {
        this.content = content;
        this.factor = factor;
        content.getTransforms().add(new Scale(factor, factor, 0, 0));
        getChildren().add(content);
    }

    @Override
    protected void layoutChildren() {
        content.resizeRelocate(0, 0, getWidth() / factor, getHeight() / factor);
    }

    @Override
    protected double computeMinWidth(double height) {
        return content.minWidth(height < 0 ? height : height / factor) * factor;
    }

    @Override
    protected double computeMinHeight(double width) {
        return content.minHeight(width < 0 ? width : width / factor) * factor;
    }

    @Override
    protected double computePrefWidth(double height) {
        return content.prefWidth(height < 0 ? height : height / factor) * factor;
    }

    @Override
    protected double computePrefHeight(double width) {
        return content.prefHeight(width < 0 ? width : width / factor) * factor;
    }
}
