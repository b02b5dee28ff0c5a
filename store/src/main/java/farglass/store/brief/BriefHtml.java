package farglass.store.brief;

import farglass.brief.Slide;
import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.GameSvg;
import farglass.scout.ReportWriter;
import farglass.text.Language;
import java.util.List;
import java.util.Map;

/**
 * A briefing as one HTML page with its style and script inside; clips lie beside it, and nothing is fetched from
 * anywhere else.
 */
public final class BriefHtml {
    private static final String STYLE = """
            body{margin:0;background:#F4EFE3;color:#1B2A34;font:18px/1.5 sans-serif}
            main{max-width:920px;margin:0 auto;padding:24px}
            section{background:#FCF9F1;border:1px solid #D9CFBB;border-radius:3px;padding:18px 24px;margin:0 0 18px}
            h1,h2{font-family:serif;font-weight:600;margin:.1em 0 .3em}
            .over{font-size:14px;letter-spacing:.04em;color:#5B6A72}
            .notes{color:#5B6A72;font-size:16px}
            video{width:100%;max-width:860px;background:#1B2A34;display:block;margin:10px 0}
            section:target,section.now{outline:3px solid #B4640B}
            footer{color:#5B6A72;font-size:14px}
            """;
    /** Arrow keys go from slide to slide and play what is there. */
    private static final String SCRIPT = """
            (function(){
              var all=[].slice.call(document.querySelectorAll('section')),at=0;
              function go(to){
                at=Math.max(0,Math.min(all.length-1,to));
                all.forEach(function(s,i){s.classList.toggle('now',i===at);
                  [].forEach.call(s.querySelectorAll('video'),function(v){if(i!==at){v.pause();}});});
                all[at].scrollIntoView({block:'start'});
                var v=all[at].querySelector('video'); if(v){var p=v.play(); if(p){p.catch(function(){});}}
              }
              document.addEventListener('keydown',function(e){
                if(e.key==='ArrowRight'||e.key==='ArrowDown'){go(at+1);e.preventDefault();}
                if(e.key==='ArrowLeft'||e.key==='ArrowUp'){go(at-1);e.preventDefault();}
              });
            })();
            """;

    private static final String TEAL = "#0C6B76";

    private BriefHtml() {}

    /**
     * @param slides those that are shown
     * @param clips file names beside the page, by id of the slide
     * @param care words of caution at the foot
     * @param lexicon names what a drawn game holds
     */
    public static String write(
            List<Slide> slides, Map<String, List<String>> clips, String title, String care, Lexicon lexicon) {
        StringBuilder h = new StringBuilder("<!DOCTYPE html>\n<html lang=\""
                        + Language.locale().toLanguageTag() + "\">\n<head>\n<meta charset=\"utf-8\">\n")
                .append("<meta name=\"viewport\" content=\"width=device-width\">\n<title>")
                .append(safe(title))
                .append("</title>\n<style>\n")
                .append(STYLE)
                .append("</style>\n</head>\n<body>\n<main>\n");
        for (Slide s : slides) {
            boolean first = s.kind() == Slide.Kind.TITLE;
            String level = first ? "h1" : "h2";
            h.append("<section>\n");
            if (!s.heading().isEmpty()) {
                h.append("<div class=\"over\">").append(safe(s.heading())).append("</div>\n");
            }
            h.append('<')
                    .append(level)
                    .append('>')
                    .append(safe(s.text()))
                    .append("</")
                    .append(level)
                    .append(">\n");
            if (!s.points().isEmpty()) {
                h.append("<ul>\n");
                s.points().forEach(p -> h.append("<li>").append(safe(p)).append("</li>\n"));
                h.append("</ul>\n");
            }
            GameFigure figure = s.figure();
            if (figure != null) {
                h.append(drawn(figure, lexicon));
            }
            if (!s.notes().isEmpty()) {
                h.append("<p class=\"notes\">").append(safe(s.notes())).append("</p>\n");
            }
            for (String clip : clips.getOrDefault(s.id(), List.of())) {
                h.append("<video controls preload=\"metadata\" src=\"")
                        .append(safe(clip))
                        .append("\"></video>\n");
            }
            h.append("</section>\n");
        }
        return h.append("<footer>")
                .append(safe(care))
                .append("</footer>\n</main>\n<script>\n")
                .append(SCRIPT)
                .append("</script>\n</body>\n</html>\n")
                .toString();
    }

    /** Within a page the drawing needs no name of its own kind. */
    private static String drawn(GameFigure figure, Lexicon lexicon) {
        return GameSvg.of(figure, new ReportWriter(Language.locale()), lexicon, TEAL)
                .replaceFirst(" xmlns=\"[^\"]*\"", "");
    }

    /** Text that can be nothing but text. */
    private static String safe(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;")
                .replace("'", "&#39;");
    }
}
