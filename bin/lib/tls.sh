# A certificate of one's own, for phones of the house: an authority that a phone is told to trust once, and a
# certificate for this machine's names, made anew when they change or it runs out.

# tls_names LISTEN [URL]: what the certificate is for, as openssl writes it.
tls_names() {
  local names="DNS:localhost,IP:127.0.0.1" one host
  for one in "$(hostname 2>/dev/null || true)" "$(sed -E 's#^https?://([^/:]+).*#\1#' <<<"${2:-}")"; do
    [ -z "$one" ] || names+=",$([[ $one =~ ^[0-9.]+$ ]] && echo IP || echo DNS):$one"
  done
  if [ "$1" = 0.0.0.0 ]; then
    for host in $(hostname -I 2>/dev/null || true); do [[ $host != *:* ]] && names+=",IP:$host"; done
  elif [ "$1" != 127.0.0.1 ]; then
    names+=",IP:$1"
  fi
  tr ',' '\n' <<<"$names" | sort -u | paste -sd, -
}

# make_certificate FOLDER NAMES: ca.crt is what a phone trusts; the keys never leave the folder.
make_certificate() {
  local folder=$1 names=$2
  (
    umask 077
    mkdir -p "$folder"
    cd "$folder"
    [ -s ca.crt ] && openssl x509 -checkend 7776000 -noout -in ca.crt >/dev/null \
      || openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 3650 \
        -keyout ca.key -out ca.crt -subj '/CN=Ironwort on this machine' -addext 'basicConstraints=critical,CA:TRUE,pathlen:0' \
        -addext 'keyUsage=critical,keyCertSign,cRLSign'
    if ! [ -s server.crt ] || [ "$(cat names 2>/dev/null)" != "$names" ] \
      || ! openssl x509 -checkend 2592000 -noout -in server.crt >/dev/null \
      || ! openssl verify -CAfile ca.crt server.crt >/dev/null 2>&1; then
      openssl req -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -keyout server.key -out server.csr \
        -subj '/CN=Ironwort'
      printf 'subjectAltName=%s\nbasicConstraints=CA:FALSE\nextendedKeyUsage=serverAuth\n' "$names" >extensions
      # Browsers take no certificate for longer than this.
      openssl x509 -req -in server.csr -CA ca.crt -CAkey ca.key -CAcreateserial -days 397 -extfile extensions \
        -out server.crt
      printf '%s' "$names" >names
      rm -f server.csr extensions
    fi
  ) >"$folder.log" 2>&1 || told "$folder.log" "The certificate could not be made."
  chmod 755 "$folder"; chmod 644 "$folder"/*.crt
  if is_root; then chown www-data: "$folder/server.key"; fi
}
