"""The made-up Skarn valley: a northern river, a perch lake, an estuary, and who fishes them."""
