# A real shop on its own network: HTTPS with a certificate of the shop's own authority, on the names and addresses of this machine.

# the addresses others reach this machine by
lan_addresses() { hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9]+(\.[0-9]+){3}$' || true; }

# every name the page answers to
host_names() {
  printf 'localhost\n127.0.0.1\n'
  [ -n "$LAN" ] || return 0
  lan_addresses
  [ -z "$HOST" ] || printf '%s\n' "$HOST"
  local own
  own="$(hostname -s 2>/dev/null | tr '[:upper:]' '[:lower:]')"
  if [ -n "$own" ] && is_host "$own"; then printf '%s\n%s.local\n' "$own" "$own"; fi
}

is_address() { [[ "$1" =~ ^[0-9]+(\.[0-9]+){3}$ ]]; }

# what a tablet types: the name that was given, or the first address
lan_name() {
  if [ -n "$HOST" ]; then printf '%s' "$HOST"; else lan_addresses | head -n 1; fi
}

shop_address() {
  if [ -n "$LAN" ]; then printf 'https://%s:%s' "$(lan_name)" "$WEB_PORT"; else printf 'http://localhost:%s' "$WEB_PORT"; fi
}

# where a tablet gets the certificate: by HTTP, since it trusts nothing yet
trust_address() { printf 'http://%s:%s' "$(lan_name)" "$TRUST_PORT"; }

# where the services themselves ask
own_address() {
  if [ -n "$LAN" ]; then printf 'https://127.0.0.1:%s' "$WEB_PORT"; else printf 'http://127.0.0.1:%s' "$WEB_PORT"; fi
}

# The authority may speak for this shop's names and for private addresses only, whoever gets hold of its key.
make_authority() {
  local tls="$ETC/tls" name
  {
    printf '[req]\ndistinguished_name=dn\nx509_extensions=ca\nprompt=no\n[dn]\nCN=Odd Bench, %s\n[ca]\n' "$(lan_name)"
    printf 'basicConstraints=critical,CA:true,pathlen:0\nkeyUsage=critical,keyCertSign,cRLSign\nsubjectKeyIdentifier=hash\nnameConstraints=critical,@may\n[may]\n'
    printf 'permitted;DNS.1=localhost\npermitted;DNS.2=local\npermitted;IP.1=10.0.0.0/255.0.0.0\npermitted;IP.2=172.16.0.0/255.240.0.0\npermitted;IP.3=192.168.0.0/255.255.0.0\npermitted;IP.4=169.254.0.0/255.255.0.0\npermitted;IP.5=127.0.0.0/255.0.0.0\n'
    local n=10
    for name in $(host_names | sort -u); do
      n=$((n + 1))
      if is_address "$name"; then printf 'permitted;IP.%s=%s/255.255.255.255\n' "$n" "$name"; else printf 'permitted;DNS.%s=%s\n' "$n" "$name"; fi
    done
  } >"$tls/authority.cnf"
  (umask 077; openssl ecparam -name prime256v1 -genkey -noout -out "$tls/authority.key")
  openssl req -x509 -new -sha256 -days 3650 -key "$tls/authority.key" -config "$tls/authority.cnf" -out "$tls/authority.crt"
}

make_certificate() {
  local tls="$ETC/tls" name n=0
  {
    printf 'basicConstraints=critical,CA:false\nkeyUsage=critical,digitalSignature\nextendedKeyUsage=serverAuth\nsubjectAltName=@names\n[names]\n'
    for name in $(host_names | sort -u); do
      n=$((n + 1))
      if is_address "$name"; then printf 'IP.%s=%s\n' "$n" "$name"; else printf 'DNS.%s=%s\n' "$n" "$name"; fi
    done
  } >"$tls/site.ext"
  (umask 077; openssl ecparam -name prime256v1 -genkey -noout -out "$tls/made.key")
  # 825 days is the most that tablets take from an authority of one's own
  openssl req -new -sha256 -key "$tls/made.key" -subj "/CN=$(lan_name)" -out "$tls/made.csr"
  openssl x509 -req -sha256 -days 825 -in "$tls/made.csr" -CA "$tls/authority.crt" -CAkey "$tls/authority.key" -set_serial "0x$(openssl rand -hex 16)" -extfile "$tls/site.ext" -out "$tls/made.crt"
}

certificate_holds() {
  local tls="$ETC/tls"
  [ -e "$tls/site.crt" ] && [ -e "$tls/names" ] && [ "$(cat "$tls/names")" = "$(host_names | sort -u)" ] \
    && openssl x509 -checkend $((60 * 86400)) -noout -in "$tls/site.crt" >/dev/null
}

# Made anew when the names change or it ends within two months; the authority, which tablets know, stays as long as it can.
certificate_up() {
  local tls="$ETC/tls"
  certificate_holds && [ -s "$tls/site.crt" ] && return 0
  [ -n "$(lan_name)" ] || { printf 'This machine has no network address.\n' >&2; return 1; }
  folder root:root 755 "$tls"
  [ -e "$tls/authority.crt" ] && openssl x509 -checkend $((900 * 86400)) -noout -in "$tls/authority.crt" >/dev/null || make_authority
  make_certificate
  if ! openssl verify -CAfile "$tls/authority.crt" "$tls/made.crt" >/dev/null 2>&1; then
    # names it may not speak for
    make_authority
    make_certificate
  fi
  openssl verify -CAfile "$tls/authority.crt" "$tls/made.crt"
  keep "$WEB_USER:" 600 "$tls/site.key" <"$tls/made.key"
  keep root: 644 "$tls/site.crt" <"$tls/made.crt"
  rm -f "$tls/made.key" "$tls/made.crt" "$tls/made.csr"
  host_names | sort -u | keep root: 644 "$tls/names"
  folder root:root 755 "$tls/public"
  keep root: 644 "$tls/public/shop-authority.crt" <"$tls/authority.crt"
  trust_page | keep root: 644 "$tls/public/index.html"
}

authority_print() { openssl x509 -noout -fingerprint -sha256 -in "$ETC/tls/authority.crt" | sed 's/.*=//'; }

trust_page() {
  cat <<T
<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Trust this shop · Odd Bench</title>
<style>body{font:1.0625rem/1.5 system-ui,sans-serif;max-width:38rem;margin:2rem auto;padding:0 1.25rem;color:#1f2420;background:#f4f3ee}h1{font-size:1.5rem}a.main{display:inline-block;background:#1d4f91;color:#fff;padding:.75rem 1.25rem;font-weight:600;text-decoration:none;margin:.5rem 0}code{overflow-wrap:anywhere;font-size:.875rem}li{margin:.4rem 0}</style>
<h1>Once on each tablet</h1>
<p>The page of this shop is on HTTPS with a certificate of the shop's own authority, which a tablet does not know yet. Only then do its camera and microphone work there.</p>
<p><a class="main" href="/shop-authority.crt">Get the certificate</a></p>
<ul>
<li>On a tablet with <b>Settings, Security, Install a certificate</b>: choose <b>CA certificate</b> and the file that was just loaded.</li>
<li>On one that says <b>Profile loaded</b>: install it in Settings, General, Profile, then switch it on under About, Certificate trust.</li>
<li>On a computer: in the browser's settings, Certificates, Authorities, Import.</li>
</ul>
<p>Before you trust it, compare its print with the one on the server (<code>bin/odd-bench status --shop</code>) or on a tablet that trusts it, under Shop:</p>
<p><code>$(authority_print)</code></p>
<p>It can speak for this shop and for private addresses only, and for no other place.</p>
<p><a class="main" href="$(shop_address)/">Go to the shop</a></p>
</html>
T
}
