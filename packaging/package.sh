#!/usr/bin/env bash
# Makes an application folder with its own Java and, on Debian, a package of it. Called by "./farglass package [DIR]", which has built
# the jars; DIR is where the results go.
set -euo pipefail
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
out=$1
version=$(sed -n 's:.*<version>\(.*\)</version>.*:\1:p' "$root/pom.xml" | head -n 1)
work=$root/target/package
limit_mb=220

say() { printf '%s\n' "$*" >&2; }

# Parts of Java that are used: what the jars ask for, and besides them other letters (charsets), words of other languages, zip files.
modules=java.base,java.desktop,java.logging,java.management,java.naming,java.scripting,java.security.jgss,java.security.sasl,java.sql,java.transaction.xa,java.xml,jdk.charsets,jdk.crypto.ec,jdk.jfr,jdk.localedata,jdk.unsupported,jdk.zipfs
locales=en,pt

# Which of the native parts of a jar run here, by the names that libraries have for this system.
case "$(uname -s)-$(uname -m)" in
  Linux-x86_64) debian=amd64; natives='^(ai/onnxruntime/native/linux-x64|org/sqlite/native/Linux/x86_64|org/bytedeco/[a-z]+/linux-x86_64|[^/]*$)' ;;
  Linux-aarch64) debian=arm64; natives='^(ai/onnxruntime/native/linux-aarch64|org/sqlite/native/Linux/aarch64|org/bytedeco/[a-z]+/linux-arm64|[^/]*$)' ;;
  *) say "Packages are made on Linux here; for other systems see docs/building.md."; exit 1 ;;
esac

# Build number: how many changes led here, and which was the last.
build=$(git -C "$root" rev-list --count HEAD 2>/dev/null || echo 0)
last=$(git -C "$root" rev-parse --short HEAD 2>/dev/null || echo unknown)

# A copy of a jar without native parts; those of this system go beside the jars, so that nothing is unpacked when it runs.
without_natives() {
  local jar=$1 input=$2 unpacked=$work/unpacked lib
  rm -rf "$unpacked"
  mkdir -p "$unpacked"
  (cd "$unpacked" && jar xf "$jar")
  (cd "$unpacked" && find . -type f \( -name '*.so' -o -name '*.so.*' -o -name '*.dll' -o -name '*.dylib' -o -name '*.jnilib' \) -printf '%P\n') |
    while read -r lib; do
      if [[ ${lib%/*} =~ $natives || $lib != */* ]]; then mv "$unpacked/$lib" "$input/"; else rm "$unpacked/$lib"; fi
    done
  # debug symbols of other systems, and the programs of a library that is only called
  find "$unpacked" -name '*.dSYM' -prune -exec rm -rf {} +
  rm -f "$unpacked"/org/bytedeco/*/*/ff*
  jar cfM "$input/$(basename "$jar")" -C "$unpacked" .
}

stage() {
  local input=$work/input jar
  rm -rf "$work"
  mkdir -p "$input"
  cp "$root/desk/target/desk.jar" "$root/cli/target/cli.jar" "$input/"
  for jar in "$root"/desk/target/lib/*.jar "$root"/cli/target/lib/*.jar; do
    if [ -e "$input/$(basename "$jar")" ]; then continue; fi
    case "$(basename "$jar")" in
      onnxruntime-*|sqlite-jdbc-*|ffmpeg-*-*-*|javacpp-*-*|javafx-*) without_natives "$jar" "$input" ;;
      *) cp "$jar" "$input/" ;;
    esac
  done
  rm -rf "$work/unpacked"
}

# What jvm.options says for a name.
options() { sed -n "s/^$1  *//p" "$root/jvm.options"; }

image() {
  local java=() word
  jlink --add-modules "$modules" --include-locales "$locales" --strip-debug --no-header-files --no-man-pages --compress 2 --output "$work/runtime"
  # Java's own classes as they lie in memory: a start takes half as long
  "$work/runtime/bin/java" -Xshare:dump -XX:+UseG1GC >"$work/share.log" 2>&1 || say "  without an archive of Java's classes: it starts more slowly"
  # native parts lie beside the jars
  local beside=(
    '-Djava.library.path=$APPDIR'
    '-Donnxruntime.native.path=$APPDIR'
    '-Dorg.sqlite.lib.path=$APPDIR'
    "-Dfarglass.command=farglass"
    "-Dfarglass.version=$version"
    "-Dfarglass.build=$build-$last"
  )
  # shellcheck disable=SC2046
  for word in $(options window) "${beside[@]}"; do java+=(--java-options "$word"); done
  {
    echo "main-jar=cli.jar"
    echo "main-class=farglass.cli.CliMain"
    echo "java-options=$(options batch) ${beside[*]:0:4}"
  } >"$work/cli.properties"
  jpackage --type app-image --name farglass --dest "$work" --input "$work/input" --main-jar desk.jar --main-class farglass.desk.DeskMain \
    --runtime-image "$work/runtime" --icon "$root/desk/src/main/resources/farglass/desk/icon.png" --app-version "$version" --vendor "Far Glass" \
    --description "Study jiu-jitsu matches" "${java[@]}" --add-launcher "farglass-cli=$work/cli.properties"
  cp -r "$root/licences" "$work/farglass/licences"
  # Java asks for libva.so where the system would ask for libva.so.2
  (cd "$work/farglass/lib/app" && for lib in lib*.so.*; do ln -s "$lib" "${lib%%.so.*}.so"; done)
  # each writes its log in its own way: the window to a file, commands to the error stream
  sed -i '/slf4j-simple/d' "$work/farglass/lib/app/farglass.cfg"
  sed -i '/slf4j-jdk14/d' "$work/farglass/lib/app/farglass-cli.cfg"
}

size_mb() { du -sm "$1" | cut -f 1; }

deb() {
  local tree=$work/deb name=farglass_${version}-${build}_$debian.deb
  mkdir -p "$tree"/{DEBIAN,opt,usr/bin,usr/share/{applications,doc/farglass,icons/hicolor/{256x256,scalable}/apps,mime/packages}}
  cp -a "$work/farglass" "$tree/opt/farglass"
  install -m 755 "$root/packaging/linux/farglass" "$tree/usr/bin/farglass"
  install -m 644 "$root/packaging/linux/farglass.desktop" "$tree/usr/share/applications/"
  install -m 644 "$root/packaging/linux/farglass.xml" "$tree/usr/share/mime/packages/"
  install -m 644 "$root/packaging/linux/copyright" "$tree/usr/share/doc/farglass/"
  install -m 644 "$root/desk/src/main/resources/farglass/desk/icon.png" "$tree/usr/share/icons/hicolor/256x256/apps/farglass.png"
  install -m 644 "$root/packaging/icon.svg" "$tree/usr/share/icons/hicolor/scalable/apps/farglass.svg"
  sed -e "s/@VERSION@/$version-$build/" -e "s/@ARCHITECTURE@/$debian/" -e "s/@SIZE@/$(du -sk "$tree" | cut -f 1)/" \
    "$root/packaging/linux/control" >"$tree/DEBIAN/control"
  chmod -R u=rwX,go=rX "$tree"
  dpkg-deb --root-owner-group -Zxz --build "$tree" "$out/$name" >/dev/null
  say "  $out/$name ($(size_mb "$out/$name") MB)"
}

for tool in jar jlink jpackage; do
  if ! command -v $tool >/dev/null 2>&1; then
    say "$tool is not here. It belongs to a whole JDK (17 or later), such as Debian's openjdk-17-jdk-headless. Nothing was made."
    exit 1
  fi
done
mkdir -p "$out"
say "Collecting the parts for this system"
stage
say "Making the application with its own Java"
image
unpacked=$(size_mb "$work/farglass")
if [ "$unpacked" -gt "$limit_mb" ]; then
  say "The application takes $unpacked MB unpacked; $limit_mb are the limit."
  exit 1
fi
rm -rf "$out/farglass"
cp -a "$work/farglass" "$out/farglass"
say "  $out/farglass ($unpacked MB of $limit_mb), started by $out/farglass/bin/farglass"
if command -v dpkg-deb >/dev/null 2>&1; then
  say "Packing it for Debian"
  deb
fi
