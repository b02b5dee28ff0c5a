package farglass.cli;

import java.time.Clock;
import picocli.CommandLine;

/** Gives the commands what they need from outside. */
final class CommandFactory implements CommandLine.IFactory {
    private final Output output;
    private final Clock clock;

    CommandFactory(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public <K> K create(Class<K> type) throws Exception {
        Object made;
        if (type == ProfileCommand.class) {
            made = new ProfileCommand(output, clock);
        } else if (type == PlanCommand.class) {
            made = new PlanCommand(output, clock);
        } else if (type == SimulateCommand.class) {
            made = new SimulateCommand(output, clock);
        } else if (type == CardCommand.class) {
            made = new CardCommand(output, clock);
        } else if (type == BriefCommand.class) {
            made = new BriefCommand(output, clock);
        } else if (type == ReelCommand.class) {
            made = new ReelCommand(output, clock);
        } else if (type == ImportCommand.class) {
            made = new ImportCommand(output, clock);
        } else if (type == ExportCommand.class) {
            made = new ExportCommand(output, clock);
        } else if (type == ListCommand.class) {
            made = new ListCommand(output, clock);
        } else if (type == VerifyCommand.class) {
            made = new VerifyCommand(output, clock);
        } else if (type == BackupCommand.class) {
            made = new BackupCommand(output, clock);
        } else if (type == RestoreCommand.class) {
            made = new RestoreCommand(output, clock);
        } else if (type == TeamCommand.class) {
            made = new TeamCommand(output, clock);
        } else if (type == ScoreCommand.class) {
            made = new ScoreCommand(output);
        } else if (type == CheckCommand.class) {
            made = new CheckCommand(output);
        } else if (type == DraftCommand.class) {
            made = new DraftCommand(output);
        } else if (type == AgreeCommand.class) {
            made = new AgreeCommand(output);
        } else if (type == CampCommand.class) {
            made = new CampCommand(output);
        } else if (type == DebriefCommand.class) {
            made = new DebriefCommand(output);
        } else if (type == FilmCommand.class) {
            made = new FilmCommand(output);
        } else {
            return CommandLine.defaultFactory().create(type);
        }
        return type.cast(made);
    }
}
