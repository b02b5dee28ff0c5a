/** Records, edits and plans as JSON documents; unknown fields are kept, errors carry the path inside the document. */
package farglass.store.json;
