package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Judgement;
import farglass.profile.Claim;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What the analyst thinks of a claim: own words, a doubt with its reason, a remark. The numbers stay as they are. */
final class JudgeSheet extends StackPane {
    private final Desk desk;
    private final Claim claim;
    private final TextField wording = new TextField();
    private final TextField doubt = new TextField();
    private final TextField remark = new TextField();
    private final Runnable close;

    /** @param close puts the sheet away */
    JudgeSheet(Desk desk, Claim claim, Runnable close) {
        this.desk = desk;
        this.claim = claim;
        this.close = close;
        setId("judge-sheet");
        getStyleClass().add("veil");
        Judgement j = desk.plan().get().judgement(desk.profiled().get(), claim.id());
        wording.setText(j.wording());
        doubt.setText(j.doubt());
        remark.setText(j.remark());
        wording.setId("judge-wording");
        doubt.setId("judge-doubt");
        remark.setId("judge-remark");
        wording.setPromptText(desk.claimWriter().sentence(claim));
        doubt.setPromptText(Words.of("judge.doubt.prompt"));
        HBox deeds = new HBox(8, Ui.spring());
        if (claim.topic() == Claim.Topic.OWN) {
            deeds.getChildren().add(Ui.button(Words.of("judge.withdraw"), this::withdraw, "choice"));
        }
        deeds.getChildren().add(Ui.button(Words.of("judge.keep"), this::keep, "strong-button"));
        VBox sheet = Ui.sheet(
                Words.of("judge.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.prose(desk.claimWriter().sentence(claim), "claim-sentence"),
                Ui.prose(desk.claimWriter().counts(claim), "soft"),
                Ui.label(Words.of("judge.wording"), "field-name"),
                wording,
                Ui.label(Words.of("judge.doubt"), "field-name"),
                doubt,
                Ui.label(Words.of("judge.remark"), "field-name"),
                remark,
                deeds);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(620, VBox.USE_PREF_SIZE);
        getChildren().add(sheet);
        Gradual.focus(doubt);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER) {
                keep();
                e.consume();
            }
        });
    }

    private void keep() {
        desk.changePlan(p -> p.judge(Judgement.none(desk.profiled().get(), claim.id())
                .wording(wording.getText())
                .doubt(doubt.getText())
                .remark(remark.getText())));
        close.run();
    }

    private void withdraw() {
        desk.changePlan(p -> p.withdraw(claim.id()));
        close.run();
    }
}
