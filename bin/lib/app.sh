# Builds the application into .run/app when its sources changed. Sourced by start and bench.
build_app() {
  local jar=server/target/brick-signal-app.jar source
  source=$(find pom.xml core packs casework server web -type f \( -path '*/src/*' -o -name pom.xml -o -path 'web/*' \) \
    ! -path '*/node_modules/*' ! -path '*/target/*' ! -path 'web/dist/*' ! -path '*/src/test/*' ! -name schema.d.ts \
    ! -name components.d.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum)
  mkdir -p .run
  if [ ! -f .run/app/brick-signal-app.jar ] || [ "$(cat .run/built 2>/dev/null || true)" != "$source" ]; then
    echo "building (the first time takes some minutes)"
    mvn -B -q -ntp -DskipTests package -pl core,packs,casework,web,server
    rm -rf .run/app
    java -Djarmode=tools -jar "$jar" extract --destination .run/app >/dev/null
    printf '%s' "$source" > .run/built
  fi
}
