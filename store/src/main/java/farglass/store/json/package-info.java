/** Records, edits and plans as JSON documents; unknown fields are kept, errors carry the path inside the document. */
@NullMarked
package farglass.store.json;

import org.jspecify.annotations.NullMarked;
