package farglass.match;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.time.MatchTime;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A builder changes what it is told to and nothing else. */
class BuildersTest {
    private static final Tag.Action ACTION = new Tag.Action(
            Records.s(10),
            Corner.A,
            "knee-cut",
            "pass",
            List.of(Side.LEFT),
            Outcome.NEAR,
            3,
            "SDC",
            Records.s(12),
            "frame",
            "right-leg",
            Map.of("elbow", true),
            "toreando",
            true,
            TagInfo.withId("t1"));
    private static final Tag.Position POSITION = new Tag.Position(
            Records.s(10),
            "LCK",
            Corner.A,
            Corner.B,
            Side.RIGHT,
            "high",
            Cause.FORCED,
            "armbar",
            3,
            "CLG",
            TagInfo.withId("t2"));

    @Test
    void nothingIsChangedWhenNothingIsTold() {
        assertThat(ACTION.builder().build()).isEqualTo(ACTION);
        assertThat(POSITION.builder().build()).isEqualTo(POSITION);
    }

    @Test
    void everyFieldOfAnActionIsChangedAlone() {
        only("t", ACTION, ACTION.builder().t(Records.s(11)).build());
        only("by", ACTION, ACTION.builder().by(Corner.B).build());
        only("technique", ACTION, ACTION.builder().technique("x-pass").build());
        only("family", ACTION, ACTION.builder().family(null).build());
        only("sides", ACTION, ACTION.builder().sides(List.of()).build());
        only("outcome", ACTION, ACTION.builder().outcome(Outcome.STUFFED).build());
        only("reached", ACTION, ACTION.builder().reached(1).build());
        only("to", ACTION, ACTION.builder().to("MNT").build());
        only("until", ACTION, ACTION.builder().until(Records.s(15)).build());
        only("answer", ACTION, ACTION.builder().answer("sprawl").build());
        only("limb", ACTION, ACTION.builder().limb(null).build());
        only("checks", ACTION, ACTION.builder().checks(Map.of()).build());
        only("target", ACTION, ACTION.builder().target(null).build());
        only("believed", ACTION, ACTION.builder().believed(false).build());
        only("info", ACTION, ACTION.builder().info(TagInfo.NONE).build());
    }

    @Test
    void everyFieldOfAPositionIsChangedAlone() {
        only("t", POSITION, POSITION.builder().t(MatchTime.ZERO).build());
        only("position", POSITION, POSITION.builder().position("CLG").build());
        only("holder", POSITION, POSITION.builder().holder(null).build());
        only("guard", POSITION, POSITION.builder().guard(null).build());
        only("side", POSITION, POSITION.builder().side(Side.LEFT).build());
        only("variant", POSITION, POSITION.builder().variant(null).build());
        only("cause", POSITION, POSITION.builder().cause(null).build());
        only("technique", POSITION, POSITION.builder().technique("kimura").build());
        only("threat", POSITION, POSITION.builder().threat(2).build());
        only("base", POSITION, POSITION.builder().base("MNT").build());
        only("info", POSITION, POSITION.builder().info(TagInfo.NONE).build());
    }

    private static void only(String field, Record before, Record after) {
        for (RecordComponent c : before.getClass().getRecordComponents()) {
            Object was = value(before, c);
            if (c.getName().equals(field)) {
                assertThat(value(after, c)).as(field).isNotEqualTo(was);
            } else {
                assertThat(value(after, c)).as(c.getName() + " beside " + field).isEqualTo(was);
            }
        }
    }

    private static Object value(Record r, RecordComponent c) {
        try {
            return c.getAccessor().invoke(r);
        } catch (ReflectiveOperationException e) {
            throw new LinkageError(c.getName(), e);
        }
    }
}
