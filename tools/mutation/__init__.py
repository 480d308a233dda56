"""What the tests notice: small changes of code and tables, one at a time, and the tests that belong to each."""
