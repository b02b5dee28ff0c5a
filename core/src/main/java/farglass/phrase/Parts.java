package farglass.phrase;

import farglass.lexicon.Position;
import farglass.lexicon.Term;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import java.util.ArrayList;
import java.util.List;

/** What has been understood of a phrase so far. */
final class Parts {
    Corner who;
    Term term;
    Position target;
    Side side;
    List<Side> sides = new ArrayList<>();
    Outcome outcome;
    Integer number;
    Cause cause;
    String depth;
    CallKind call;
    RemarkKind remark;
    String text;
    String instead;
    Boolean punished;
    String answer;
    /** What a slip of the fingers was taken for, as "typed: meant". */
    List<String> slips = new ArrayList<>();

    String command;
    String reason;
    boolean unsure;
    boolean expectTarget;
}
