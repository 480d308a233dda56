"""The stations of a job: what is asked at each, and what comes back."""
