"""What was signed stays as it was signed, and says what today's program works out otherwise."""

from __future__ import annotations

from datetime import UTC, datetime

import pytest

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.phrase import plain
from modest_rotor.demo.load import FINISHED, _job
from modest_rotor.store.fits import assess_job
from modest_rotor.store.signed import SignedJob, SignedLine, since_signed
from tests.said import codes_of, says

pytestmark = pytest.mark.slow


def frozen(assessment: Assessment, anew: bool = False) -> SignedJob:
    line = SignedLine(
        number=1, at=datetime(2026, 3, 1, tzinfo=UTC), who="R. Quay", role="", program_version="0.1.0", revision="r1"
    )
    return SignedJob(line=line, job=_job(FINISHED), assessment=assessment, anew=anew)


def test_a_job_signed_by_another_program_says_what_changed() -> None:
    today = assess_job(_job(FINISHED))
    assert since_signed(frozen(today)) == ()
    proof = today.proof
    assert proof.saved.figure
    other = proof.saved.figure.model_copy(update={"value": 1.2 * proof.saved.figure.value})
    earlier = today.model_copy(
        update={"proof": proof.model_copy(update={"saved": proof.saved.model_copy(update={"figure": other})})}
    )
    (told,) = since_signed(frozen(earlier))
    assert "signed-since-signed-saving-measured" in codes_of(told) and says(
        "signed-since-signed-signed-today", plain(told)
    )
    assert says("signed-since-signed-numbers-kept", plain(since_signed(frozen(today, anew=True))[0]))
