package farglass.match;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class CodedTest {
    @Test
    void everyMemberIsFoundByItsCodeAndNothingElseIs() {
        for (Outcome o : Outcome.values()) {
            assertThat(Coded.parse(Outcome.class, o.code())).contains(o);
        }
        for (Cause c : Cause.values()) {
            assertThat(Coded.parse(Cause.class, c.code())).contains(c);
        }
        assertThat(Coded.parse(Outcome.class, "not-visible")).contains(Outcome.NOT_VISIBLE);
        assertThat(Coded.parse(Outcome.class, "NOT_VISIBLE")).isEmpty();
        assertThat(Coded.parse(Side.class, Outcome.COMPLETED.code()))
                .as("codes of one vocabulary do not reach another")
                .isEmpty();
    }
}
