package farglass.team;

import farglass.match.Coded;
import farglass.match.Edit;
import farglass.match.Tag;

/**
 * What somebody may do in a team's library. The server enforces it; asked here, it is told before something is done in
 * vain.
 */
public enum TeamRole implements Coded {
    /** Everything, and says who may do what. */
    OWNER,
    /** Tags, and all else but training rounds that others brought. */
    ANALYST,
    /** Reads, remarks and plans. */
    COACH,
    /** Reads what is his own. */
    ATHLETE;

    /** Whether he may bring matches and take them out of sight. */
    public boolean bringsMatches() {
        return this == OWNER || this == ANALYST;
    }

    /** Whether he may change plans and assignments. */
    public boolean plans() {
        return this != ATHLETE;
    }

    /** Whether he may make this edit of a match. */
    public boolean makes(Edit edit) {
        return bringsMatches() || (this == COACH && onlyRemarks(edit));
    }

    /** Remarks come, go and change, nothing else does. */
    private static boolean onlyRemarks(Edit edit) {
        if (edit instanceof Edit.Batch all) {
            return all.edits().stream().allMatch(TeamRole::onlyRemarks);
        }
        if (edit instanceof Edit.Add a) {
            return a.tag() instanceof Tag.Remark;
        }
        if (edit instanceof Edit.Remove r) {
            return r.tag() instanceof Tag.Remark;
        }
        return edit instanceof Edit.Replace r && r.before() instanceof Tag.Remark && r.after() instanceof Tag.Remark;
    }
}
