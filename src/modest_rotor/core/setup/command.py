"""A command in volts: a straight line between nought and full, with the device's dead band below."""

from __future__ import annotations

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.traits import SignalTraits


def share_of_signal(traits: SignalTraits, volts: float) -> float:
    """Share of full speed that a signal asks for, (V − V_0) ÷ (V_full − V_0); nought inside the dead band.

    :param traits: the device's line and dead band. :param volts: V; above full it stays full.

    Source: definition of a linear 0-10 V command; dead bands as the device's profile says. Common practice.
    """
    if volts < traits.off_below_v:
        return 0.0
    share = (volts - traits.zero_at_v) / (traits.full_at_v - traits.zero_at_v)
    return min(max(share, 0.0), 1.0)


def signal_for_share(traits: SignalTraits, share: float) -> float:
    """Volts for a share of full speed, V_0 + share (V_full − V_0).

    :param share: 0 to 1; nought gives nought volts.
    :raises OutsideValidity: a share above full, or one whose volts lie in the dead band, where the device stands still.

    Source: as :func:`share_of_signal`.
    """
    if not 0 <= share <= 1:
        raise OutsideValidity(say("setup-command-signal-for-share-command-goes", share=Number(100 * share, ".0f")))
    if share == 0:
        return 0.0
    volts = traits.zero_at_v + share * (traits.full_at_v - traits.zero_at_v)
    if volts < traits.off_below_v:
        least = share_of_signal(traits, traits.off_below_v)
        raise OutsideValidity(
            say(
                "setup-command-signal-for-share-v-lies",
                volts=Number(volts, ".1f"),
                off_below_v=Number(traits.off_below_v, "g"),
                least=Number(100 * least, ".0f"),
            )
        )
    return volts
