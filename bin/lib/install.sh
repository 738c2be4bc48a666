# Installs what a machine lacks, from Debian's packages. Sourced by start, test and bench.
need() { # command, package...
  local command=$1; shift
  command -v "$command" >/dev/null 2>&1 || missing+=("$@")
}
install_missing() {
  [ "${#missing[@]}" -eq 0 ] && return 0
  echo "installing: ${missing[*]}"
  local sudo=(); [ "$(id -u)" -eq 0 ] || sudo=(sudo)
  "${sudo[@]}" apt-get -o DPkg::Lock::Timeout=400 update -qq
  DEBIAN_FRONTEND=noninteractive "${sudo[@]}" apt-get -o DPkg::Lock::Timeout=400 install -y -qq "${missing[@]}" >/dev/null
}
missing=()
need java openjdk-17-jdk-headless
need javac openjdk-17-jdk-headless
need mvn maven
need node nodejs npm
need npm npm
need runuser util-linux
ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || missing+=(postgresql)
