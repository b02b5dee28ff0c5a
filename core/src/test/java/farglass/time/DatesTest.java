package farglass.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.YearMonth;
import org.junit.jupiter.api.Test;

class DatesTest {
    @Test
    void aDayIsSaidAndNotCounted() {
        assertThat(Dates.words(LocalDate.of(2031, 5, 3))).isEqualTo("3 May 2031");
        assertThat(Dates.words((LocalDate) null)).isEmpty();
        assertThat(Dates.words(YearMonth.of(2029, 11))).isEqualTo("Nov 2029");
    }
}
