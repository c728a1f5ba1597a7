import { getRequestIP, type H3Event } from 'h3'
import ipaddr from 'ipaddr.js'
import proxyAddr from 'proxy-addr'

/**
 * The address a request comes from. Behind a proxy it is what the proxy says, as long as the proxy is one of those
 * that are trusted; what anybody else says of themselves counts for nothing. Of an IPv6 address it is the network,
 * for whoever has one address has the whole of it (RFC 6177).
 *
 * @param trusted addresses and networks such as "127.0.0.1, 10.0.0.0/8", from the setting `NUXT_TRUSTED_PROXIES`
 */
export function addressOf(event: H3Event, trusted: string): string {
  const proxies = trusted.split(',').flatMap((part) => part.trim() || [])
  const address = proxies.length > 0 ? proxyAddr(event.node.req, proxies) : getRequestIP(event)
  return address && ipaddr.isValid(address) ? networkOf(ipaddr.process(address)) : 'unknown'
}

function networkOf(address: ipaddr.IPv4 | ipaddr.IPv6): string {
  return address.kind() === 'ipv6'
    ? `${(address as ipaddr.IPv6).parts.slice(0, 4).map(hex).join(':')}::/64`
    : address.toString()
}

const hex = (part: number) => part.toString(16)
